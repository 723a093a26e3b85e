import { isLevel } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import type { Evaluation } from "@/core/evaluate/evaluation";
import { proposeRemedies } from "@/core/remedies/proposeRemedies";
import { describeAttitude } from "@/words/attitudes";
import { CAUTION } from "@/words/cautions";
import { describeBalance } from "@/words/days";
import { describeFinding, SEVERITY_NAMES } from "@/words/findings";
import { describeRemedy } from "@/words/remedies";
import { formatLength, formatQuantity, type Units } from "@/words/units";
import { describeFindings } from "@/words/verdict";

/** The findings of a design as text for a terminal: the figures first, then what to do. */
export function reportDesign(design: Design, evaluation: Evaluation, units: Units): string {
  const lines = [`${design.name}, standing ${describeAttitude(evaluation.attitude, design.rig.kind)}`, ""];
  for (const drain of evaluation.drains) {
    const line = design.lines.find((l) => l.id === drain.lineId)!;
    const worst = describeAttitude(drain.worst.attitude, design.rig.kind);
    lines.push(
      `${line.name}: fall in hand ${formatLength(drain.level.inHandMm, units)} level, ${formatLength(drain.worst.inHandMm, units)} at worst (${worst})`,
    );
    if (!isLevel(evaluation.attitude)) lines.push(`  here ${formatLength(drain.here.inHandMm, units)}`);
  }
  for (const tank of evaluation.tanks) {
    const { name } = design.tanks.find((t) => t.id === tank.tankId)!;
    lines.push(
      `${name}: ${formatQuantity(tank.usableHereL, "volume", units)} usable here of ${formatQuantity(tank.capacityL, "volume", units)}, ${formatQuantity(tank.usableWorstL, "volume", units)} at worst`,
    );
  }
  for (const line of describeBalance(design, evaluation.balance, units)) lines.push(line);
  lines.push("");
  lines.push(`${describeFindings(evaluation)}.`);
  for (const finding of evaluation.findings) {
    const { title, why, advice } = describeFinding(finding, design, units);
    lines.push(`${SEVERITY_NAMES[finding.severity].name.toUpperCase()}  ${title}. ${why} ${advice}`);
    for (const remedy of proposeRemedies(design, evaluation, finding)) {
      lines.push(`      - ${describeRemedy(remedy, design, units)}`);
    }
  }
  return `${[...lines, "", CAUTION].join("\n")}\n`;
}
