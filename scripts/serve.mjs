// Serves the built application: PORT and HOST say where. Every answer, whatever it is, bears the headers that keep a page safe.
import { createServer } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { networkInterfaces } from "node:os";
import next from "next";
import { makeCertificate } from "./certificate.mjs";

const port = Number(process.env.PORT ?? 3000);
const hostname = process.env.HOST ?? "127.0.0.1";
const READ_ONLY = new Set(["GET", "HEAD"]);
const POLICY = "default-src 'none'; frame-ancestors 'none'";
const EVERYWHERE = {
  "X-Content-Type-Options": "nosniff",
  "Referrer-Policy": "no-referrer",
  "Permissions-Policy": "geolocation=(), microphone=(), payment=(), usb=(), camera=(self)",
  "X-Frame-Options": "DENY",
  "Content-Security-Policy": POLICY,
};

function refuse(response, status, text, more = {}) {
  response.writeHead(status, { ...EVERYWHERE, ...more, "Content-Type": "text/plain; charset=utf-8" });
  response.end(`${text}\n`);
}

const isReadable = (path) => {
  try {
    return !decodeURIComponent(path).includes("\0");
  } catch {
    return false;
  }
};

const app = next({ dev: false, hostname, port });
await app.prepare();
const handle = app.getRequestHandler();

const answer = (request, response) => {
  for (const [name, value] of Object.entries(EVERYWHERE)) response.setHeader(name, value);
  if (!READ_ONLY.has(request.method)) {
    return refuse(response, 405, "This server only hands out pages and files.", { Allow: "GET, HEAD" });
  }
  const [path = "/"] = (request.url ?? "/").split("?");
  if (!isReadable(path)) return refuse(response, 404, "There is nothing at this address.");
  handle(request, response).catch(() => {
    if (response.headersSent) response.end();
    else refuse(response, 500, "That page could not be made.");
  });
};

// A phone's camera and tilt sensor need a secure address: a certificate made on the spot, which the phone asks about once.
if (process.env.HTTPS === "1") {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .filter((one) => one && one.family === "IPv4" && !one.internal)
    .map((one) => one.address);
  const { key, cert, fingerprint } = makeCertificate(["localhost", "127.0.0.1", ...addresses]);
  createSecureServer({ key, cert }, answer).listen(port, hostname);
  const address = `https://${addresses[0] ?? "localhost"}:${port}/under`;
  const { renderUnicodeCompact } = await import("uqr");
  process.stdout.write(`\n${renderUnicodeCompact(address, { border: 2 })}\n${address}\n`);
  process.stdout.write(
    `The phone will warn once: it cannot know this certificate. Compare its fingerprint (SHA-256):\n${fingerprint}\n`,
  );
} else {
  createServer(answer).listen(port, hostname);
}
