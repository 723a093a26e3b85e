import { withSerwist } from "@serwist/turbopack";
import type { NextConfig } from "next";

// A worker obeys the policy of its own file, so it gets a narrow one here; pages get theirs from proxy.ts.
const WORKER_POLICY = "default-src 'none'; script-src 'self'; connect-src 'self'";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  headers: async () => [
    {
      source: "/_next/static/chunks/:path*",
      headers: [{ key: "Content-Security-Policy", value: WORKER_POLICY }],
    },
  ],
};

export default withSerwist(config);
