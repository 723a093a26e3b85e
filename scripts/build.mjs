// Builds the pages, notes the hashes of their inline scripts for the content policy, and bundles the command line.
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { copyFileSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { buildCli } from "./buildCli.mjs";
import { compressStatic } from "./compressStatic.mjs";
import { hintCompile } from "./hintCompile.mjs";
import { bundlePhoneScripts, leanPhonePage } from "./leanPage.mjs";
import { collectLicences } from "./licences.mjs";
import { shakeSchemas } from "./shakeSchemas.mjs";

const root = fileURLToPath(new URL("..", import.meta.url));

function buildPages() {
  const BUILD_ID = process.env.BUILD_ID ?? Date.now().toString(36);
  const next = spawnSync("npx", ["--no-install", "next", "build", ...process.argv.slice(2)], {
    cwd: root,
    stdio: "inherit",
    env: { ...process.env, BUILD_ID, NEXT_TELEMETRY_DISABLED: "1" },
  });
  if (next.status !== 0) process.exit(next.status ?? 1);
}

function noteScriptHashes() {
  const pages = join(root, ".next/server/app");
  const hashes = new Set();
  for (const file of readdirSync(pages, { recursive: true })) {
    if (!String(file).endsWith(".html")) continue;
    const html = readFileSync(join(pages, String(file)), "utf8");
    for (const [, text] of html.matchAll(/<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g)) {
      hashes.add(`'sha256-${createHash("sha256").update(text).digest("base64")}'`);
    }
  }
  writeFileSync(join(root, ".next/csp-hashes.json"), JSON.stringify([...hashes]));
}

// The product's own letters for files it writes; the pages themselves get theirs through the framework.
function layOutFonts() {
  mkdirSync(join(root, "public/letters"), { recursive: true });
  for (const part of ["latin", "latin-ext"]) {
    for (const weight of ["400", "600"]) {
      const name = `barlow-semi-condensed-${part}-${weight}-normal.woff`;
      copyFileSync(
        join(root, "node_modules/@fontsource/barlow-semi-condensed/files", name),
        join(root, "public/letters", name),
      );
    }
  }
}

// The bundler also lays the workers' own text beside them, which nobody asks for.
function dropSources() {
  const media = join(root, ".next/static/media");
  for (const file of readdirSync(media)) if (/\.tsx?$/.test(file)) rmSync(join(media, file));
}

layOutFonts();
writeFileSync(join(root, "public/licences.txt"), collectLicences(root));
await shakeSchemas();
const phone = await bundlePhoneScripts();
buildPages();
dropSources();
hintCompile("index.html");
leanPhonePage(phone);
noteScriptHashes();
compressStatic();
await buildCli();
