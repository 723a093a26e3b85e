import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { NextResponse } from "next/server";

const HASHES = join(process.cwd(), ".next", "csp-hashes.json");

/** Inline scripts of the built pages, by hash; written after every build. Development builds have none. */
const scripts: readonly string[] = existsSync(HASHES) ? JSON.parse(readFileSync(HASHES, "utf8")) : [];
const script = scripts.length > 0 ? `'self' ${scripts.join(" ")}` : "'self' 'unsafe-inline' 'unsafe-eval'";

// The one style sheet a dialog writes into the page while it holds the page still.
const DIALOG_STYLES = ["'sha256-nzTgYzXYDNe6BAHiiI7NNlfK8n/auuOAhh2t92YvuXo='"];

const POLICY = [
  "default-src 'self'",
  `script-src ${script}`,
  `style-src-elem 'self' 'unsafe-hashes' ${DIALOG_STYLES.join(" ")}`,
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

/** Gives every page the content policy and the headers that go with it. */
export function proxy(): NextResponse {
  const response = NextResponse.next();
  response.headers.set("Content-Security-Policy", POLICY);
  response.headers.set("X-Content-Type-Options", "nosniff");
  response.headers.set("Referrer-Policy", "no-referrer");
  response.headers.set("Cross-Origin-Opener-Policy", "same-origin");
  return response;
}

export const config = { matcher: ["/((?!_next/static|_next/image|serwist/).*)"] };
