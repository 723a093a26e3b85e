import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import type { Vent } from "../design/plumbing";
import { buildPortBore } from "../edits/portEdits";
import { listFamily } from "../parts/pipes";
import type { Remedy } from "./remedy";

/** A port of its own bore for a breather that begins at a narrower one. */
export function proposeWiderPort({ tanks }: Design, { fromTank, fromPort, pipe }: Vent): Remedy[] {
  const tank = tanks.find(({ id }) => id === fromTank);
  const port = tank?.ports.find(({ id }) => id === fromPort);
  if (!tank || !port || port.boreMm >= pipe.innerMm) return [];
  return [{ byMm: pipe.innerMm, edit: { ...buildPortBore(tank, port, pipe.innerMm), code: "widenInlet" } }];
}

/** More room for the air: the port alone where that is narrower, or a breather of the next bore that will do. */
export const proposeWiderAir = (design: Design, vent: Vent, leastBoreMm: number): Remedy[] => [
  ...proposeWiderPort(design, vent),
  ...proposeWiderVent(vent, leastBoreMm),
];

/** Gives a breather, and its port, the first hose that is wide enough. */
export function proposeWiderVent(vent: Vent, leastBoreMm: number): Remedy[] {
  const hose = listFamily("smoothHose").find(
    ({ pipe }) => pipe.innerMm >= leastBoreMm && pipe.innerMm > vent.pipe.innerMm,
  )?.pipe;
  if (!hose) return [];
  const ops: EditOp[] = [
    { op: "set", path: ["lines", vent.id, "pipe", "innerMm"], value: hose.innerMm },
    { op: "set", path: ["lines", vent.id, "pipe", "outerMm"], value: hose.outerMm },
    { op: "set", path: ["tanks", vent.fromTank, "ports", vent.fromPort, "boreMm"], value: hose.innerMm },
  ];
  return [{ byMm: hose.innerMm, edit: { code: "widenVent", at: { kind: "line", id: vent.id }, ops } }];
}

const byLeast = (remedy: Remedy): Remedy => ({ ...remedy, isByLeast: true });

/** Each breather of the rig wider, then all of them, by as little as helps: where seals are sucked or blown, which of them throttles is seen by trying. */
export function proposeWiderVents({ lines }: Design): Remedy[] {
  const vents = lines.filter((line): line is Vent => line.kind === "vent");
  const bores = listFamily("smoothHose").map(({ pipe }) => pipe.innerMm);
  const alone = bores.flatMap((boreMm) => vents.flatMap((vent) => proposeWiderVent(vent, boreMm).map(byLeast)));
  const together = bores.flatMap((boreMm): Remedy[] => {
    const each = vents.flatMap((vent) => (vent.pipe.innerMm < boreMm ? proposeWiderVent(vent, boreMm) : []));
    const [first] = each;
    if (!first || each.length < 2) return [];
    return [
      {
        ...first,
        isByLeast: true,
        edit: { ...first.edit, code: "widenVents", ops: each.flatMap(({ edit }) => edit.ops) },
      },
    ];
  });
  return [...alone, ...together];
}
