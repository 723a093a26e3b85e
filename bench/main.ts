import { writeFileSync } from "node:fs";
import { benchBrowser } from "./browser";
import { benchCore, type Row } from "./core";
import { benchDays } from "./days";
import { benchGear } from "./gear";
import { benchLargest } from "./largest";
import { benchNetwork } from "./network";
import { benchPlan } from "./road";

const isKept = ({ value, budget, better }: Row): boolean =>
  budget === null || (better === "less" ? value <= budget : value >= budget);

const rows = [
  ...benchCore(),
  ...benchNetwork(),
  ...benchLargest(),
  ...benchDays(),
  ...benchPlan(),
  ...(await benchGear()),
  ...(process.argv.includes("--core") ? [] : await benchBrowser()),
];
for (const row of rows) {
  const budget =
    row.budget === null ? "" : `${row.better === "less" ? "at most" : "at least"} ${row.budget} ${row.unit}`;
  const verdict = row.budget === null ? "" : isKept(row) ? "kept" : "MISSED";
  console.log(
    `${row.name.padEnd(52)}${formatValue(row.value).padStart(10)} ${row.unit.padEnd(6)} ${budget.padEnd(22)} ${verdict}`,
  );
}
writeFileSync("bench-results.json", `${JSON.stringify(rows, null, 2)}\n`);
process.exitCode = rows.every(isKept) ? 0 : 1;

function formatValue(value: number): string {
  return value >= 100 ? value.toFixed(0) : value.toPrecision(3);
}
