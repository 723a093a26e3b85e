import { spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join, resolve } from "node:path";

// The project's own lint rules, tried on files that break the one direction imports may take.
const BIOME = resolve("node_modules/.bin/biome");

function lint(files: Readonly<Record<string, string>>): string {
  const folder = mkdtempSync(join(tmpdir(), "layers-"));
  const config = JSON.parse(readFileSync("biome.json", "utf8"));
  writeFileSync(join(folder, "biome.json"), JSON.stringify({ ...config, $schema: undefined, vcs: { enabled: false } }));
  for (const [path, text] of Object.entries(files)) {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), text);
  }
  const run = spawnSync(BIOME, ["lint", "--reporter=json", "."], { cwd: folder, encoding: "utf8" });
  rmSync(folder, { recursive: true });
  return run.stdout;
}

test.each([
  ["core/falls/a.ts", 'import { Button } from "@/ui/kit/Button";\nexport const a = Button;\n'],
  ["core/falls/a.ts", 'import type { Button } from "../../ui/kit/Button";\nexport type A = Button;\n'],
  ["core/falls/a.ts", 'import { useState } from "react";\nexport const a = useState;\n'],
  ["core/falls/a.ts", 'import { formatLength } from "@/words/units";\nexport const a = formatLength;\n'],
  ["words/a.ts", 'import { workbench } from "@/store/workbench";\nexport const a = workbench;\n'],
  ["store/a.ts", 'import { Figure } from "../ui/kit/Figure";\nexport const a = Figure;\n'],
  ["ui/kit/a.ts", 'import { metadata } from "@/app/layout";\nexport const a = metadata;\n'],
  ["cli/a.ts", 'import { workbench } from "@/store/workbench";\nexport const a = workbench;\n'],
])("%s may not import what it does", (path, text) => {
  expect(lint({ [path]: text })).toContain("noRestrictedImports");
});

test("what points the right way passes", () => {
  const report = lint({
    "core/falls/a.ts": 'import * as z from "zod";\nimport { b } from "../quantity/b";\nexport const a = [z, b];\n',
    "core/quantity/b.ts": "export const b = 1;\n",
    "ui/kit/c.ts":
      'import { useState } from "react";\nimport { a } from "@/core/falls/a";\nexport const c = [useState, a];\n',
  });
  expect(report).not.toContain("noRestrictedImports");
});
