// The licence texts of every package that may be part of what is shipped: the production tree of the lock file.
import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const NAMES = /^(licen[cs]e|copying|notice)(\.|$|-)/i;

/** One text: each package with its version, its licence by name and its whole notice. */
export function collectLicences(root) {
  const { packages } = JSON.parse(readFileSync(join(root, "package-lock.json"), "utf8"));
  const parts = [
    "Schleuse is built with the packages named here. Each stands under its own licence, which follows it.",
    `Schleuse itself:\n\n${readFileSync(join(root, "LICENSE"), "utf8").trim()}`,
  ];
  for (const [path, info] of Object.entries(packages).sort(([a], [b]) => (a < b ? -1 : 1))) {
    if (path === "" || info.dev || info.devOptional) continue;
    const folder = join(root, path);
    if (!existsSync(folder)) continue;
    const { name, version, license } = JSON.parse(readFileSync(join(folder, "package.json"), "utf8"));
    const texts = readdirSync(folder)
      .filter((file) => NAMES.test(file))
      .map((file) => readFileSync(join(folder, file), "utf8").trim());
    parts.push(
      `${name} ${version}, ${typeof license === "string" ? license : "see its notice"}\n\n${texts.join("\n\n")}`,
    );
  }
  return `${parts.join("\n\n----------------------------------------\n\n")}\n`;
}
