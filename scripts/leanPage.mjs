// The phone's page without the framework's own script: nothing is navigated to from there, and a phone under a floor waits for
// every kilobyte. Its markup, styles and head stay as the framework wrote them.
import { readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";

const root = fileURLToPath(new URL("..", import.meta.url));
const OUT = "public/under-scripts";
/** The title's letters, and those of the text. */
const FIRST_LETTERS = /barlow_condensed_latin_600|barlow_semi_condensed_latin_400/;

/** Bundles what brings the page to life, each file named by its content; gives the address of its entry. */
export async function bundlePhoneScripts() {
  rmSync(join(root, OUT), { recursive: true, force: true });
  const { metafile } = await build({
    absWorkingDir: root,
    entryPoints: ["ui/under/wake.tsx"],
    entryNames: "[name]-[hash]",
    outdir: OUT,
    alias: { "@": root },
    bundle: true,
    splitting: true,
    minify: true,
    format: "esm",
    target: "es2022",
    jsx: "automatic",
    define: { "process.env.NODE_ENV": '"production"' },
    metafile: true,
    logLevel: "warning",
  });
  const [entry] = Object.entries(metafile.outputs).find(([, output]) => output.entryPoint) ?? [];
  if (!entry) throw new Error("The phone's page has no entry among its bundled scripts.");
  return entry.replace(/^public/, "");
}

/** Takes the framework's scripts out of the page as it was prerendered and puts this one in. */
export function leanPhonePage(entry) {
  const file = join(root, ".next/server/app/under.html");
  writeFileSync(file, leanHtml(readFileSync(file, "utf8"), entry));
}

/** The page's head without scripts of the framework, and of its body what stands in the box `under`. */
export function leanHtml(html, entry) {
  const [, head] = html.match(/<head>([\s\S]*?)<\/head>/) ?? [];
  const [, box] = html.match(/<body>[\s\S]*?(<div id="under">[\s\S]*?<\/main><\/div>)/) ?? [];
  const [opening] = html.match(/^<!DOCTYPE html><html[^>]*>/) ?? [];
  const theme = head?.match(/<script>(?!\()[\s\S]*?<\/script>/g) ?? [];
  if (!opening || !head || !box || theme.length !== 1) {
    throw new Error(
      "The phone's page was not prerendered as scripts/leanPage.mjs expects it; look at .next/server/app/under.html.",
    );
  }
  const kept = head
    .replace(/<script[^>]*\ssrc=[^>]*><\/script>/g, "")
    .replace(/<link[^>]*\sas="script"[^>]*>/g, "")
    // letters of the first sight come at once, the others when a card asks for them
    .replace(/<link[^>]*\sas="font"[^>]*>/g, (link) => (FIRST_LETTERS.test(link) ? link : ""))
    // the stylesheet comes first; the script has time
    .concat(`<script type="module" async fetchpriority="low" src="${entry}"></script>`);
  return `${opening}<head>${kept}</head><body>${box}</body></html>`;
}
