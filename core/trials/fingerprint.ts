import { followVent } from "../air/ventPath";
import type { Design } from "../design/design";
import type { HoseEnd } from "../design/gear";
import { findBranchVent, findTrap } from "../design/lineItems";
import type { Drain, Line, Vent } from "../design/plumbing";
import { isUnbuilt } from "../design/unbuilt";
import { followDrain } from "../falls/network";
import { placeHoseEnd } from "../fit/lineLegs";
import { takeShortWord, writeSorted } from "../quantity/shortWord";
import { followDumpLine } from "../tanks/dumpWays";
import { listLevelGroup } from "../tanks/linkedTanks";

/**
 * What a trial was held on, as a short word that changes with it: of a drain its own line, fixture, all it runs on through and
 * where that ends; of a tank itself and what shares its level, of its dump also its breathers and lines; of the pumped side all
 * gear and hoses. What a trial does not touch leaves it as it is, and so do names and what is held in its place.
 */
export function takeFingerprint(design: Design, trialId: string): string {
  const [kind, id] = split(trialId);
  return takeShortWord(writeSorted(clean([collect(design, kind, id), listPlaces(design, kind, id)], isUnbuilt)));
}

/** Whether a trial was held on the part as it is drawn now. */
export const isTriedOn = (word: string, design: Design, trialId: string): boolean =>
  word === takeFingerprint(design, trialId) || listOldFingerprints(design, trialId).includes(word);

/** As records of before wrote it: without where things end and with their names, first of the keys in the order of a file. */
export function listOldFingerprints(design: Design, trialId: string): string[] {
  const [kind, id] = split(trialId);
  const read = clean(collect(design, kind, id), () => false);
  return [takeShortWord(writeSorted(read)), takeShortWord(JSON.stringify(read))];
}

const split = (trialId: string): [string, string] => {
  const at = trialId.indexOf(":");
  return [trialId.slice(0, at), trialId.slice(at + 1)];
};

function clean(value: unknown, isLeftOut: (key: string) => boolean): unknown {
  const text = JSON.stringify(value, (key, one: unknown) => {
    if (isLeftOut(key)) return undefined;
    // a node's id says nothing of where it is, and words taken before nodes had ids stay true
    const isCourse = (key === "bendsMm" || key === "pointsMm") && Array.isArray(one);
    return isCourse ? one.map(({ x, y, z }) => ({ x, y, z })) : one;
  });
  return text === undefined ? null : JSON.parse(text);
}

// What the parts tried are joined to, and where that is: moved, the last joint was made anew.
function listPlaces(design: Design, kind: string, id: string): unknown {
  const { tanks, lines } = design;
  const tank = tanks.find((one) => one.id === id);
  const placeEnd = (end: HoseEnd) => placeHoseEnd(design, end);
  switch (kind) {
    case "trialTank":
      return tank && listLevelGroup(design, tank);
    case "trialDump": {
      const vents = lines.filter((line) => line.kind === "vent" && line.fromTank === id);
      return [tank && listLevelGroup(design, tank), vents.map((vent) => followVent(design, vent as Vent))];
    }
    case "trialDrain":
    case "trialBack": {
      const line = lines.find((one) => one.id === id);
      if (line?.kind !== "drain") return null;
      const last = listFurther(design, line).at(-1) ?? line;
      return placeOutfall(design, last.to);
    }
    case "trialHoses":
      return lines.flatMap((line) => (line.kind === "hose" ? [placeEnd(line.from), placeEnd(line.to)] : []));
    default:
      return null;
  }
}

function placeOutfall({ tanks, gear }: Design, to: Drain["to"]): unknown {
  switch (to.kind) {
    case "inlet": {
      const tank = tanks.find(({ id }) => id === to.tankId);
      return [tank?.atMm, tank?.ports.find(({ id }) => id === to.portId)];
    }
    case "overboard":
    case "sump":
      return gear.find(({ id }) => id === to.gearId);
    case "junction":
    case "ground":
    case "vessel":
      return null;
  }
}

function collect({ lines: drawn, tanks, fixtures, gear, rig }: Design, kind: string, id: string): unknown {
  const lines = drawn.map(takeFoamOff);
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
      const further = main?.kind === "drain" ? listFurther({ lines }, main).map(writeDrain) : [];
      return [writeDrain(line), fixtures.find((one) => one.id === line.fromFixture), joined, ...further];
    }
    case "trialLaunch":
      return [gear.filter(({ spec }) => spec.kind === "skinFitting"), rig.waterlineZMm];
    default:
      return [gear, lines.filter((line) => line.kind === "hose")];
  }
}

// Foam goes on when the joints have held, and is no reason to try them again.
function takeFoamOff(line: Line): Line {
  if (line.kind === "vent" || line.insulationMm === undefined) return line;
  const { insulationMm: _, ...bare } = line;
  return bare;
}

// As version 8 wrote a drain, trap and vent apart from what else sits on it: words taken then still hold.
function writeDrain(drain: Drain): object {
  const { bendsMm, items, ...rest } = drain;
  const others = items.filter(({ kind }) => kind !== "trap" && kind !== "branchVent");
  return { ...rest, trap: findTrap(drain), branchVent: findBranchVent(drain), bendsMm, items: others };
}

const listFurther = ({ lines }: Pick<Design, "lines">, drain: Drain): Drain[] => {
  const drains = lines.filter((line) => line.kind === "drain");
  return followDrain({ drains: new Map(drains.map((one) => [one.id, one])) }, drain).slice(1);
};

const listDumpMains = ({ lines }: Pick<Design, "lines">, tankId: string) =>
  lines.flatMap((line) =>
    line.kind === "dumpLine" && line.fromTank === tankId
      ? followDumpLine({ lines }, line)
          .slice(1)
          .map((one) => one.line)
      : [],
  );
