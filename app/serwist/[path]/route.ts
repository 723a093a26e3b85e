import { createSerwistRoute } from "@serwist/turbopack";
import { SAMPLES } from "@/ui/library/samples";

const revision = process.env["BUILD_ID"] ?? "dev";

/** The service worker: keeps the page, its scripts, fonts and sample rigs for the days without a network. */
export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: "app/sw.ts",
  useNativeEsbuild: true,
  globPatterns: [".next/static/**/*.{js,css,woff2}", "public/**/*"],
  esbuildOptions: { sourcemap: false },
  additionalPrecacheEntries: [
    "/",
    "/manifest.webmanifest",
    "/under",
    "/samples/journey",
    ...SAMPLES.map((name) => `/samples/${name}`),
  ].map((url) => ({
    url,
    revision,
  })),
});
