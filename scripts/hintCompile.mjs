// Marks the scripts a page's first sight waits for: nearly all that is in them runs at once, so a browser may compile them
// whole on another thread while they come in, not function by function on the one the page is drawn on. One that does not
// know the mark reads a comment.
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));
const MARK = "//# allFunctionsCalledOnLoad\n";

/** Puts the mark at the top of every script a prerendered page names. */
export function hintCompile(page) {
  const html = readFileSync(join(root, ".next/server/app", page), "utf8");
  const scripts = new Set([...html.matchAll(/\/_next\/(static\/chunks\/[^"\\]+\.js)/g)].map(([, path]) => path));
  if (scripts.size === 0) throw new Error(`${page} names no scripts; look at .next/server/app/${page}.`);
  for (const path of scripts) {
    const file = join(root, ".next", path);
    const text = readFileSync(file, "utf8");
    if (!text.startsWith(MARK)) writeFileSync(file, MARK + text.trimStart());
  }
}
