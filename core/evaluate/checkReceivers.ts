import { isToiletUse } from "../days/isToiletUse";
import { listStretches } from "../days/rates";
import type { Design } from "../design/design";
import type { FixtureKind } from "../design/plumbing";
import type { DrainPath } from "../falls/drainPath";
import type { Network } from "../falls/network";
import { createFinding, createGraded } from "./createFinding";
import type { Finding, Receiver } from "./findings";
import { listPumped } from "./pumped";

/** What sends water that may go round a shower's loop: its own. */
const FOR_LOOP: readonly FixtureKind[] = ["showerTray", "bath", "outsideShower"];

/**
 * What each fixture sends is held against what it ends in, and so is urine that people say they pour down another one. A drain
 * that leads into drinking water is no design at all.
 */
export function checkReceivers(design: Design, network: Network, paths: readonly DrainPath[]): Finding[] {
  const soiled = listSoiled(design);
  const pumped = listPumped(network);
  const looped = new Set(
    design.tanks.flatMap(({ id, holds }) => (holds === "loop" ? (pumped.get(id) ?? []).map((drain) => drain.id) : [])),
  );
  return paths.flatMap((path) => {
    const into = looped.has(path.drain.id) ? "loop" : findReceiver(design, path);
    return checkReceiver(path, into, soiled);
  });
}

// Fixtures down which toilet or urine goes in a way of living that is lived, whatever they are made for.
function listSoiled({ habits }: Design): ReadonlySet<string> {
  const uses = listStretches(habits).flatMap(({ way }) => way.uses);
  const soiling = uses.filter((use) => isToiletUse(use) && use.vesselId === null && use.times > 0 && use.sendsL > 0);
  return new Set(soiling.flatMap(({ fixtureId }) => (fixtureId === null ? [] : [fixtureId])));
}

function checkReceiver(path: DrainPath, into: Receiver, soiled: ReadonlySet<string>): Finding[] {
  const { id } = path.fixture;
  const at = { kind: "fixture", id } as const;
  const own = path.fixture.kind;
  const kind = soiled.has(id) && own !== "gravityToilet" ? "urineDiverter" : own;
  if (kind === "gravityToilet") return into === "black" ? [] : [createFinding(at, { code: "toiletNotBlack", into })];
  // a basin's water is soapy as a shower's, but for what is spat into it
  if (into === "loop" && !FOR_LOOP.includes(kind)) {
    return [createGraded(kind === "basin" ? "should" : "must", at, { code: "loopFouled", fixtureKind: kind })];
  }
  // a tank of its own, or one for black water, is where it belongs
  if (kind === "urineDiverter" && (into === "grey" || into === "sump")) {
    return [createFinding(at, { code: "urineInGrey" })];
  }
  return [];
}

function findReceiver({ habits }: Design, { tank, chain }: DrainPath): Receiver {
  if (tank) return tank.holds;
  const { to } = chain.at(-1)!;
  switch (to.kind) {
    case "vessel":
      return habits.vessels.find(({ id }) => id === to.vesselId)?.holds ?? "grey";
    case "ground":
    case "sump":
    case "overboard":
      return to.kind;
    case "inlet":
    case "junction":
      // an inlet has a tank, and the last of a chain joins nothing
      return "grey";
  }
}
