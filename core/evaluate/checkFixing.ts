import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import { computeFixing, type Shaken, slidesOut } from "../fixing/fixing";
import { createRecall } from "../quantity/recall";
import { computeFullKg } from "../tanks/shell";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

const recallFindings = createRecall<Tank["solid"], readonly Finding[]>();

/** A rig that people ride in, reckoned without a crash. */
export function checkCrash({ rig, tanks }: Design): Finding[] {
  const isRidden = rig.kind === "van" || rig.kind === "bus";
  if (!isRidden || rig.crashClass !== "none" || tanks.length === 0) return [];
  return [createFinding({ kind: "rig" }, { code: "crashLeftOut" })];
}

/** What can be said against what holds a tank. */
export const checkFixing = ({ rig }: Design, tank: Tank): readonly Finding[] =>
  recallFindings(tank.solid, [rig.crashClass, rig.kind, ...listAllButPlace(tank)], () => judgeFixing(rig, tank));

// where it is says nothing of what holds it
const listAllButPlace = ({ atMm: _, ...others }: Tank): unknown[] => Object.values(others);

function judgeFixing(rig: Shaken, tank: Tank): Finding[] {
  const at = { kind: "tank", id: tank.id } as const;
  const { fixing } = tank;
  // what hangs falls on the road, what stands inside flies through the room, and in a boat it goes through her side
  if (!fixing) {
    return [createFinding(at, { code: "fixingMissing", fullKg: computeFullKg(tank), isAfloat: rig.kind === "boat" })];
  }
  const findings: Finding[] = [];
  const cases = computeFixing(tank, fixing, rig);
  if (fixing.fastener === "selfTapping") findings.push(createFinding(at, { code: "fixingScrewed" }));
  if (!cases) findings.push(createFinding(at, { code: "fixingTips" }));
  else {
    const { load, utilisation, weakest } = cases.reduce((a, b) => (b.utilisation > a.utilisation ? b : a));
    if (utilisation > 1) findings.push(createFinding(at, { code: "fixingWeak", load: load.id, utilisation, weakest }));
  }
  if (slidesOut(fixing, rig)) findings.push(createFinding(at, { code: "fixingSlides" }));
  // a through bolt with a plate bears what it bears; what is strapped, riveted, screwed or pulls on bare sheet wants a rating
  const isRated = fixing.heldKN !== null && fixing.heldShearKN !== null;
  const isThrough = fixing.fastener === "through";
  if (isThrough && !fixing.hasPlate && !isRated) findings.push(createFinding(at, { code: "fixingNoPlate" }));
  if (!isRated && (!isThrough || fixing.kind === "straps")) findings.push(createFinding(at, { code: "fixingUnrated" }));
  return findings;
}
