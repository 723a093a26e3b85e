import type { Design } from "../design/design";
import type { Pipe, Port } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import { MM3_PER_L } from "../quantity/convert";
import { measureStandingL } from "../tanks/dumpRun";
import { computeHoursToFreezing } from "./freezing";
import { byHours, type FrostPart } from "./frostPart";
import { listGearFrost } from "./gearFrost";
import { type Night, readNight } from "./night";
import { computePipeLoss } from "./pipeLoss";
import { computeTankFrost } from "./tankFrost";

/** A valve holds as much as its bore over this many bores of length [T]. */
const VALVE_BORES = 2.5;

/**
 * What freezes on the night of the rules, the thinnest first: dump valves and lines, traps, sags, gear and
 * hoses under the floor, tanks so full as a share in [0, 1] says. Empty where the night does not freeze. Bodies of plastic
 * in the wind of the rules, bare where they are no line [C on T].
 */
export function listFrostParts(design: Design, evaluation: Evaluation, fillShare: number): FrostPart[] {
  const night = readNight(design.rules);
  if (night.airC >= 0) return [];
  const parts: FrostPart[] = [];
  for (const tank of design.tanks) {
    // over the floor it stays as warm as the room
    if (tank.atMm.z >= 0) continue;
    for (const port of tank.ports) {
      if (port.kind !== "outlet") continue;
      parts.push({ kind: "valve", at: { kind: "port", tankId: tank.id, id: port.id }, ...chillValve(port, night) });
    }
    if (fillShare > 0) {
      const full = evaluation.tanks.find(({ tankId }) => tankId === tank.id)?.level.litres ?? 0;
      const hours = computeTankFrost(tank, fillShare, night).hoursToFreezing;
      if (hours !== null)
        parts.push({ kind: "tank", at: { kind: "tank", id: tank.id }, litres: full * fillShare, hours });
    }
  }
  for (const { lineId, trapRisks, lineTrapRisks, ponds, legs, ownLegs } of evaluation.drains) {
    for (const risks of [trapRisks, lineTrapRisks]) {
      if (risks?.frostHours != null)
        parts.push({ kind: "trap", at: { kind: "trap", lineId }, litres: null, hours: risks.frostHours });
    }
    for (const pond of ponds) {
      const leg = legs[pond.legIndex];
      if (!leg || pond.legIndex >= ownLegs || leg.to.z >= 0 || pond.litres <= 0) continue;
      const at = { kind: "leg", lineId, index: pond.legIndex } as const;
      parts.push({
        kind: "sag",
        at,
        litres: pond.litres,
        hours: chillSag(pond.litres, leg.pipe, (leg.outsideMm - leg.pipe.outerMm) / 2, night),
      });
    }
  }
  for (const line of design.lines) {
    if (line.kind !== "dumpLine") continue;
    const litres = measureStandingL(design, line);
    if (litres <= 0) continue;
    const at = { kind: "line", id: line.id } as const;
    parts.push({ kind: "sag", at, litres, hours: chillSag(litres, line.pipe, line.insulationMm ?? 0, night) });
    // its own valve stands bare at the end of it, however well the line is lagged
    if (line.endValve) parts.push({ kind: "valve", at, ...chillBore(line.endValve.boreMm, night) });
  }
  return [...parts, ...listGearFrost(design)].sort(byHours);
}

const chillValve = ({ boreMm, valve }: Port, night: Night) => chillBore(valve?.boreMm ?? boreMm, night);

function chillBore(bore: number, night: Night): { readonly litres: number; readonly hours: number } {
  const lengthMm = VALVE_BORES * bore;
  const litres = ((Math.PI / 4) * bore ** 2 * lengthMm) / MM3_PER_L;
  const lossWPerK = (night.outerFilm * Math.PI * bore * lengthMm) / 1e6;
  return { litres, hours: computeHoursToFreezing({ ...night, massKg: litres, lossWPerK }) ?? 0 };
}

// Water lies in a sag about half the bore deep; it loses heat through the half of the pipe it wets, or all round through
// the foam, whichever is less.
function chillSag(litres: number, { innerMm: boreMm, outerMm }: Pipe, insulationMm: number, night: Night): number {
  const lengthMm = (litres * MM3_PER_L) / ((Math.PI / 8) * boreMm ** 2);
  const bare = computePipeLoss(boreMm, 0, night) / 2;
  const lossWPerK = (Math.min(bare, computePipeLoss(outerMm, insulationMm, night)) * lengthMm) / 1000;
  // the list is of a night that freezes
  return computeHoursToFreezing({ ...night, massKg: litres, lossWPerK }) ?? 0;
}
