// Serves the built application: PORT and HOST say where. Every answer, whatever it is, bears the headers that keep a page safe.
import { createReadStream } from "node:fs";
import { createServer } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { networkInterfaces } from "node:os";
import next from "next";
import { makeCertificate } from "./certificate.mjs";
import { listCompressed } from "./compressStatic.mjs";

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

// A worker obeys the policy of its own file; next.config.ts says the same of the files it hands out itself.
const WORKER_POLICY = "default-src 'none'; script-src 'self'; connect-src 'self'; frame-ancestors 'none'";
const copies = listCompressed();

// A script or style sheet that never changes, already compressed; what has no copy, or has lost it, the framework hands out.
function handOutCompressed(request, response, path, passOn) {
  const copy = copies.get(path);
  if (!copy || !/\bbr\b/.test(String(request.headers["accept-encoding"] ?? ""))) return passOn();
  const file = createReadStream(copy.file);
  file.once("error", () => (response.headersSent ? response.destroy() : passOn()));
  file.once("open", () => {
    response.writeHead(200, {
      ...EVERYWHERE,
      "Content-Security-Policy": path.startsWith("/_next/static/chunks/") ? WORKER_POLICY : POLICY,
      "Content-Type": copy.type,
      "Content-Encoding": "br",
      "Cache-Control": "public, max-age=31536000, immutable",
      Vary: "Accept-Encoding",
    });
    if (request.method !== "HEAD") return file.pipe(response);
    file.destroy();
    response.end();
  });
}

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
  handOutCompressed(request, response, path, () =>
    handle(request, response).catch(() => {
      if (response.headersSent) response.end();
      else refuse(response, 500, "That page could not be made.");
    }),
  );
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
