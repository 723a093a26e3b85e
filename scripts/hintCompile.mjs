// Marks the scripts a page's first sight waits for: nearly all that is in them runs at once, so a browser may compile them
// whole on another thread while they come in, not function by function on the one the page is drawn on. One that does not
// know the mark reads a comment.
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));
const MARK = "//# allFunctionsCalledOnLoad\n";

/** What the page fetches at once when its frame stands: the regions of the workbench. */
const FETCHED = ["Regions"];

/** Puts the mark at the top of every script a prerendered page names, and of those it fetches at once. */
export function hintCompile(page) {
  const html = readFileSync(join(root, ".next/server/app", page), "utf8");
  const named = new Set([...html.matchAll(/\/_next\/(static\/chunks\/[^"\\]+\.js)/g)].map(([, path]) => path));
  if (named.size === 0) throw new Error(`${page} names no scripts; look at .next/server/app/${page}.`);
  for (const path of [...named, ...FETCHED.flatMap((name) => findScripts(name, named))]) {
    const file = join(root, ".next", path);
    const text = read(path);
    if (!text.startsWith(MARK)) writeFileSync(file, MARK + text.trimStart());
  }
}

const read = (path) => readFileSync(join(root, ".next", path), "utf8");

// The scripts that come with one that gives out a name, as the page's own list them.
function findScripts(name, named) {
  const lists = [...named].flatMap((path) =>
    [...read(path).matchAll(/Promise\.all\(\[([^\]]*)\]/g)].map(([, list]) =>
      [...list.matchAll(/static\/chunks\/[^"]+\.js/g)].map(([script]) => script),
    ),
  );
  const list = lists.find((scripts) => scripts.some((path) => read(path).includes(`e.s(["${name}"`)));
  if (!list) throw new Error(`No script gives out ${name}; look at scripts/hintCompile.mjs.`);
  return list;
}
