import type { EditOp } from "../design/editOps";
import type { HeldWater, Tank, Vent } from "../design/plumbing";
import type { Vec3 } from "../geometry/vec";
import { listFamily } from "../parts/pipes";
import { buildAddDumpLine } from "./dumpLineEdits";
import type { EditChain } from "./editChain";
import { buildFitPumpOut } from "./pumpOutEdits";
import { buildAddTank } from "./tankEdits";
import { buildAddVent } from "./ventEdits";

/** Bore of a black tank's breather where a wide dump lets it go, and where it is pumped out, mm [T]. */
const DUMPED_AIR_MM = 38;
const PUMPED_AIR_MM = 25;

/** The black tank that is there, or one that is hung as near as there is room. */
export const hangBlackTank = (chain: EditChain, near: Vec3): Tank =>
  chain.now().tanks.find(({ holds }) => holds === "black") ??
  hangTank(chain, { holds: "black", name: "Black tank", near });

type Wanted = { readonly holds: HeldWater; readonly name: string; readonly near: Vec3 | null };

/**
 * A tank hung as near as there is room, with a breather and its way out: black water let go through a dump line to the edge of the
 * rig, under a van a hose is put on the others' outlet; afloat waste is pumped out from the deck.
 */
export function hangTank(chain: EditChain, { holds, name, near }: Wanted): Tank {
  const isPumpedOut = chain.now().rig.kind === "boat" && holds !== "fresh";
  chain.add(buildAddTank(chain.now(), holds, name, near));
  const { id, ports } = chain.now().tanks.at(-1)!;
  const find = () => chain.now().tanks.find((tank) => tank.id === id)!;
  // what comes to it is led in where it comes from
  chain.push(
    ports
      .filter(({ kind }) => (kind === "inlet" && holds === "black") || (isPumpedOut && kind === "outlet"))
      .map((port): EditOp => ({ op: "remove", path: ["tanks", id, "ports", port.id] })),
  );
  chain.add(buildAddVent(chain.now(), find()));
  if (holds === "black") widenAir(chain, id, isPumpedOut ? PUMPED_AIR_MM : DUMPED_AIR_MM);
  const outlet = find().ports.find(({ kind }) => kind === "outlet");
  if (isPumpedOut) chain.add(buildFitPumpOut(chain.now(), find(), `${name}, pump-out`.slice(0, 60)));
  else if (outlet && holds === "black") chain.add(buildAddDumpLine(chain.now(), find(), outlet));
  return find();
}

function widenAir(chain: EditChain, tankId: string, boreMm: number): void {
  const vent = chain.now().lines.find((line): line is Vent => line.kind === "vent" && line.fromTank === tankId);
  const size = listFamily("smoothHose").find(({ pipe }) => pipe.innerMm >= boreMm);
  if (!vent || !size) return;
  chain.push([
    { op: "set", path: ["tanks", tankId, "ports", vent.fromPort, "boreMm"], value: size.pipe.innerMm },
    { op: "set", path: ["lines", vent.id, "pipe"], value: size.pipe },
  ]);
}
