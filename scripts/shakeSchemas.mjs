// The schema library cut to what core/design/z.ts names. The pages' bundler takes such a library whole, which is 10 kB too much
// for a first load; this one drops what nobody asks for.
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";

const root = fileURLToPath(new URL("..", import.meta.url));

/** next.config.ts puts it in the place of the whole one. */
const SHAKEN = ".shaken/zod-mini.mjs";

export async function shakeSchemas() {
  await build({
    absWorkingDir: root,
    entryPoints: ["core/design/z.ts"],
    outfile: join(root, SHAKEN),
    bundle: true,
    minifySyntax: true,
    format: "esm",
    target: "es2022",
    logLevel: "warning",
  });
}
