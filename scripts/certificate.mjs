// A certificate for this machine and this start only; nothing of it is kept.
import { X509Certificate } from "node:crypto";
import selfsigned from "selfsigned";

const DAYS = 7;
const isAddress = (name) => /^\d+\.\d+\.\d+\.\d+$/.test(name);

/** Key, certificate and its SHA-256 fingerprint, for the names and addresses given. */
export function makeCertificate(names) {
  const altNames = names.map((name) => (isAddress(name) ? { type: 7, ip: name } : { type: 2, value: name }));
  const made = selfsigned.generate([{ name: "commonName", value: "Schleuse on this machine" }], {
    days: DAYS,
    keySize: 2048,
    algorithm: "sha256",
    extensions: [{ name: "subjectAltName", altNames }],
  });
  return { key: made.private, cert: made.cert, fingerprint: new X509Certificate(made.cert).fingerprint256 };
}
