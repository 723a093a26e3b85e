import { createSerwistRoute } from "@serwist/turbopack";

const revision = process.env["BUILD_ID"] ?? "dev";

/** The service worker: keeps the page, its scripts, fonts and sample rigs for the days without a network. */
export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: "app/sw.ts",
  useNativeEsbuild: true,
  globPatterns: [".next/static/**/*.{js,css,woff2}", "public/**/*"],
  additionalPrecacheEntries: [
    "/",
    "/samples/kranich",
    "/samples/lesesaal",
    "/samples/puppenwagen",
    "/samples/otter",
  ].map((url) => ({ url, revision })),
});
