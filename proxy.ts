import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { NextResponse } from "next/server";

const HASHES = join(process.cwd(), ".next", "csp-hashes.json");

/** Inline scripts of the built pages, by hash; written after every build. Only a development server goes without. */
const scripts = readHashes();
const script = scripts ? `'self' ${scripts.join(" ")}` : "'self' 'unsafe-inline' 'unsafe-eval'";

function readHashes(): readonly string[] | null {
  if (existsSync(HASHES)) return JSON.parse(readFileSync(HASHES, "utf8"));
  // a production server without them would have to loosen its policy: it does not start
  if (process.env.NODE_ENV === "production" && process.env["NEXT_PHASE"] !== "phase-production-build") {
    throw new Error("The content policy has no hashes (.next/csp-hashes.json is missing). Run: npm run build");
  }
  return null;
}

// Style sheets of libraries that write their own into the page, each the same every time: what a dialog writes while it
// holds the page still, and what a chart writes beside its legend.
const LIBRARY_STYLES = [
  "'sha256-nzTgYzXYDNe6BAHiiI7NNlfK8n/auuOAhh2t92YvuXo='",
  "'sha256-aSysLrDECVdJ6L+jLf8CC5QKLmwRuk/OZiZk9mYky8A='",
];

const POLICY = [
  "default-src 'self'",
  `script-src ${script}`,
  `style-src-elem 'self' 'unsafe-hashes' ${LIBRARY_STYLES.join(" ")}`,
  "style-src-attr 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "worker-src 'self'",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join("; ");

/** Gives every answer that is no script of its own the content policy; the server gives it the other headers. */
export function proxy(): NextResponse {
  const response = NextResponse.next();
  response.headers.set("Content-Security-Policy", POLICY);
  return response;
}

export const config = { matcher: ["/((?!_next/static).*)", "/"] };
