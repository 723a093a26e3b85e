// Serves the built application: PORT and HOST say where. Every answer, whatever it is, bears the headers that keep a page safe.
import { createServer } from "node:http";
import next from "next";

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

const server = createServer((request, response) => {
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
});
server.listen(port, hostname);
