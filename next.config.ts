import { existsSync } from "node:fs";
import { withSerwist } from "@serwist/turbopack";
import type { NextConfig } from "next";

// A worker obeys the policy of its own file, so it gets a narrow one here; pages get theirs from proxy.ts.
const WORKER_POLICY = "default-src 'none'; script-src 'self'; connect-src 'self'; frame-ancestors 'none'";

// Parts of the PDF library that nothing here calls for; shipped, they would be a third of it.
const UNUSED = ["html2canvas", "dompurify", "canvg"] as const;

// scripts/build.mjs cuts the schema library to what is used; a development server takes it whole.
const SHAKEN = "./.shaken/zod-mini.mjs";
const SCHEMAS: Record<string, string> =
  process.env.NODE_ENV === "production" && existsSync(SHAKEN) ? { "zod/mini": SHAKEN } : {};

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  productionBrowserSourceMaps: false,
  images: { unoptimized: true },
  // `npm run types` looks at them, once, also beside this
  typescript: { ignoreBuildErrors: true },
  turbopack: {
    resolveAlias: { ...Object.fromEntries(UNUSED.map((name) => [name, "./scripts/nothing.mjs"])), ...SCHEMAS },
  },
  headers: async () => [
    // named by their content
    {
      source: "/under-scripts/:path*",
      headers: [{ key: "Cache-Control", value: "public, max-age=31536000, immutable" }],
    },
    {
      source: "/_next/static/chunks/:path*",
      headers: [{ key: "Content-Security-Policy", value: WORKER_POLICY }],
    },
    {
      source: "/_next/static/media/:path*",
      headers: [{ key: "Content-Security-Policy", value: "default-src 'none'; frame-ancestors 'none'" }],
    },
  ],
};

export default withSerwist(config);
