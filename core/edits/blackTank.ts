import type { EditOp } from "../design/editOps";
import type { Tank, Vent } from "../design/plumbing";
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

/**
 * The black tank that is there, or one that is hung as near as there is room, with a breather: let go through a dump line to
 * the edge of the rig, afloat pumped out from the deck.
 */
export function hangBlackTank(chain: EditChain, near: Vec3): Tank {
  const isAfloat = chain.now().rig.waterlineZMm !== null;
  const find = () => chain.now().tanks.find(({ holds }) => holds === "black");
  const own = find();
  if (own) return own;
  chain.add(buildAddTank(chain.now(), "black", "Black tank", near));
  const { id, ports } = find()!;
  chain.push(
    ports
      .filter(({ kind }) => kind === "inlet" || (isAfloat && kind === "outlet"))
      .map((port): EditOp => ({ op: "remove", path: ["tanks", id, "ports", port.id] })),
  );
  chain.add(buildAddVent(chain.now(), find()!));
  widenAir(chain, id, isAfloat ? PUMPED_AIR_MM : DUMPED_AIR_MM);
  const outlet = find()!.ports.find(({ kind }) => kind === "outlet");
  if (isAfloat) chain.add(buildFitPumpOut(chain.now(), find()!, "Black deck pump-out"));
  else if (outlet) chain.add(buildAddDumpLine(chain.now(), find()!, outlet));
  return find()!;
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
