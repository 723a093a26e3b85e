import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear, WorkingState } from "../design/gear";
import type { PartRef } from "../design/part";
import type { Fixture } from "../design/plumbing";
import { placeGearPort } from "../gear/gearPorts";
import { TOILETS } from "../heads/toiletKinds";
import { createDrain } from "./createDrain";
import { type EditChain, startChain } from "./editChain";
import { hangBlackTank } from "./hangTank";
import { addOnTop } from "./portOnTop";
import { toGear } from "./putPiece";
import { buildUseToilet } from "./toiletEdits";
import { takeFresh, takeInSea } from "./toiletWater";
import { leadOverboard } from "./wasteOverboard";

/** Where what a toilet gives goes: into its tank alone, or afloat by the turn of a valve overboard as well. */
export const TOILET_SCHOOLS = ["tank", "tankOrSea"] as const;
export type ToiletSchool = (typeof TOILET_SCHOOLS)[number];

/**
 * Edit that gives a toilet all it lacks to be used: a black tank with breather and its way out, the hose or drain to it,
 * water to flush with, a state of its own, and its place in the days. What is there already is used and left as it is. Fresh
 * water falls through an air gap before it comes to a bowl; afloat a bowl that may have sea water takes it in over a vented
 * loop. Null where the part is no toilet with a tank, or lacks nothing. Common practice, no source [T].
 */
export function buildPlumbToilet(design: Design, at: PartRef, school: ToiletSchool = "tank"): Edit | null {
  const chain = startChain(design);
  const bowl = at.kind === "gear" ? design.gear.find(({ id }) => id === at.id) : undefined;
  const fixture = at.kind === "fixture" ? design.fixtures.find(({ id }) => id === at.id) : undefined;
  if (bowl) plumbBowl(chain, bowl, school);
  else if (fixture?.kind === "gravityToilet") plumbFixture(chain, fixture);
  if (chain.ops().length === 0) return null;
  chain.add(buildUseToilet(chain.now()));
  return { code: "plumbToilet", at, ops: chain.ops() };
}

// Straight down into the top of its tank, where that hangs under it.
function plumbFixture(chain: EditChain, fixture: Fixture): void {
  if (chain.now().lines.some((line) => line.kind === "drain" && line.fromFixture === fixture.id)) return;
  const tank = hangBlackTank(chain, fixture.outletMm);
  const inlet = addOnTop(chain, tank, "inlet", { nearMm: fixture.outletMm, boreMm: fixture.boreMm });
  const drain = createDrain(fixture, {
    id: freeId("drain", chain.now().lines),
    trap: null,
    to: { kind: "inlet", tankId: tank.id, portId: inlet.id },
    bendsMm: [],
  });
  chain.push([{ op: "insert", path: ["lines"], index: chain.now().lines.length, value: drain }]);
}

function plumbBowl(chain: EditChain, bowl: Gear, school: ToiletSchool): void {
  const { spec } = bowl;
  if (spec.kind !== "bowl") return;
  const isFlushed = isJoined(chain.now(), bowl.id, "flush");
  const isLed = isJoined(chain.now(), bowl.id, "waste");
  if (isFlushed && isLed) return;
  const { maySea, outMm } = TOILETS[spec.bowl];
  const isAfloat = chain.now().rig.waterlineZMm !== null;
  let positions: WorkingState["positions"] = [];
  if (!isLed) {
    const waste = toGear(bowl.id, "waste");
    const nearMm = placeGearPort(bowl, "waste");
    const tank = hangBlackTank(chain, nearMm);
    const fill = addOnTop(chain, tank, "fill", { nearMm, boreMm: outMm ?? WASTE_MM });
    const into = { kind: "tank", tankId: tank.id, portId: fill.id } as const;
    if (isAfloat && school === "tankOrSea") positions = leadOverboard(chain, bowl, waste, into);
    else chain.addHose(waste, into, { name: `${bowl.name}, waste`.slice(0, 80), wall: "sanitation" });
  }
  const water = isFlushed ? null : isAfloat && maySea ? takeInSea(chain, bowl) : takeFresh(chain, bowl);
  if (chain.now().states.length === 0) chain.addState({ name: "Standby", on: [], positions, openTaps: [] });
  chain.addState({ name: bowl.name.slice(0, 60), on: [...(water?.on ?? [])], positions, openTaps: [] });
  water?.shutAtRest();
}

/** A bowl's waste hose where its kind says nothing, mm [T]. */
const WASTE_MM = 38;

const isJoined = ({ lines }: Design, gearId: string, port: string): boolean =>
  lines.some(
    (line) =>
      line.kind === "hose" &&
      [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === gearId && end.port === port),
  );
