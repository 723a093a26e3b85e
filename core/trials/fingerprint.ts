import type { Design } from "../design/design";
import { findBranchVent, findTrap } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { takeShortWord, writeSorted } from "../quantity/shortWord";
import { followDumpLine } from "../tanks/dumpWays";

/**
 * What a trial was held on, as a short word that changes with it: of a drain its own line, fixture and all it runs on through, of a
 * tank itself and its breathers, of the pumped side all gear and hoses. What a trial does not touch leaves it as it is.
 */
export function takeFingerprint(design: Design, trialId: string): string {
  return takeShortWord(writeSorted(readTried(design, trialId)));
}

/** Whether a trial was held on the part as it is drawn now. Older words were taken of the keys in the order of a file. */
export function isTriedOn(word: string, design: Design, trialId: string): boolean {
  if (word === takeFingerprint(design, trialId)) return true;
  return word === takeShortWord(JSON.stringify(readTried(design, trialId)));
}

function readTried(design: Design, trialId: string): unknown {
  const [kind = "", id = ""] = [trialId.slice(0, trialId.indexOf(":")), trialId.slice(trialId.indexOf(":") + 1)];
  const text = JSON.stringify(collect(design, kind, id), withoutNodeIds);
  return text === undefined ? null : JSON.parse(text);
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
      // nothing more where that one ends in no other, so that words taken before still hold
      const further = main?.kind === "drain" ? listMains({ lines }, main).map(writeDrain) : [];
      return [writeDrain(line), fixtures.find((one) => one.id === line.fromFixture), joined, ...further];
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

// The drains a drain's water runs on through, the next one first.
function listMains({ lines }: Pick<Design, "lines">, drain: Drain): Drain[] {
  const found: Drain[] = [];
  for (let { to } = drain; to.kind === "junction"; ) {
    const { lineId } = to;
    const main = lines.find((one): one is Drain => one.id === lineId && one.kind === "drain");
    if (!main || found.includes(main)) break;
    found.push(main);
    to = main.to;
  }
  return found;
}

const listDumpMains = ({ lines }: Pick<Design, "lines">, tankId: string) =>
  lines.flatMap((line) =>
    line.kind === "dumpLine" && line.fromTank === tankId
      ? followDumpLine({ lines }, line)
          .slice(1)
          .map((one) => one.line)
      : [],
  );
