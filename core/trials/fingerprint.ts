import type { Design } from "../design/design";
import { findBranchVent, findTrap } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { followDumpLine } from "../tanks/dumpWays";

/**
 * What a trial was held on, as a short word that changes with it: of a drain its own line, fixture and what it joins, of a
 * tank itself and its breathers, of the pumped side all gear and hoses. What a trial does not touch leaves it as it is.
 */
export function takeFingerprint(design: Design, trialId: string): string {
  const [kind = "", id = ""] = [trialId.slice(0, trialId.indexOf(":")), trialId.slice(trialId.indexOf(":") + 1)];
  return hash(JSON.stringify(collect(design, kind, id), withoutNodeIds));
}

// a node's id says nothing of where it is, and words taken before nodes had ids stay true
const withoutNodeIds = (key: string, value: unknown): unknown =>
  (key === "bendsMm" || key === "pointsMm") && Array.isArray(value) ? value.map(({ x, y, z }) => ({ x, y, z })) : value;

function collect({ lines, tanks, fixtures, gear, rig }: Design, kind: string, id: string): unknown {
  switch (kind) {
    case "trialTank":
      return tanks.find((tank) => tank.id === id);
    case "trialDump":
      return [
        tanks.find((tank) => tank.id === id),
        lines.filter((line) => (line.kind === "vent" || line.kind === "dumpLine") && line.fromTank === id),
        rig.dumpHose,
        // nothing more where none joins another, so that words taken before still hold
        ...listDumpMains({ lines }, id),
      ];
    case "trialDrain":
    case "trialBack": {
      const line = lines.find((one) => one.id === id);
      if (!line) return gear.find((piece) => piece.id === id);
      if (line.kind !== "drain") return line;
      const { to } = line;
      const main = to.kind === "junction" ? lines.find((one) => one.id === to.lineId) : null;
      const joined = main?.kind === "drain" ? writeDrain(main) : main;
      return [writeDrain(line), fixtures.find((one) => one.id === line.fromFixture), joined];
    }
    case "trialLaunch":
      return [gear.filter(({ spec }) => spec.kind === "skinFitting"), rig.waterlineZMm];
    default:
      return [gear, lines.filter((line) => line.kind === "hose")];
  }
}

// As version 8 wrote a drain, trap and vent apart from what else sits on it: words taken then still hold.
function writeDrain(drain: Drain): object {
  const { bendsMm, items, ...rest } = drain;
  const others = items.filter(({ kind }) => kind !== "trap" && kind !== "branchVent");
  return { ...rest, trap: findTrap(drain), branchVent: findBranchVent(drain), bendsMm, items: others };
}

const listDumpMains = ({ lines }: Pick<Design, "lines">, tankId: string) =>
  lines.flatMap((line) =>
    line.kind === "dumpLine" && line.fromTank === tankId
      ? followDumpLine({ lines }, line)
          .slice(1)
          .map((one) => one.line)
      : [],
  );

// Fowler, Noll and Vo's hash of 32 bits: not to keep secrets, only to see a change.
function hash(text: string): string {
  let value = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return value.toString(36);
}
