import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import type { Vessel } from "../design/habits";
import { findTrap, listAtBeginning } from "../design/lineItems";
import type { Drain, Tank } from "../design/plumbing";
import { buildRedirect } from "../edits/drainEdits";
import { buildAddVessel } from "../edits/habitEdits";
import { buildAddTank } from "../edits/tankEdits";
import { buildAddVent } from "../edits/ventEdits";
import { vec } from "../geometry/vec";
import type { Remedy } from "./remedy";

/** A canister stood under the open end of a drain; it takes grey water and is carried away. */
export function proposeCanister(design: Design, drain: Drain): Remedy[] {
  const { to } = drain;
  const vessel = buildAddVessel(design, "grey", CANISTER_NAME);
  const [put] = vessel.ops;
  if (to.kind !== "ground" || put?.op !== "insert") return [];
  const { id: vesselId } = put.value as Vessel;
  const value: Drain["to"] = { kind: "vessel", vesselId, atMm: to.atMm };
  const op: EditOp = { op: "set", path: ["lines", drain.id, "to"], value };
  const at = { kind: "end", lineId: drain.id } as const;
  return [{ byMm: null, edit: { code: "standCanister", at, ops: [put, op] } }];
}

const CANISTER_NAME = "Canister";

/** A vessel for what must not come into the grey tank, inside, mm: two people's urine of three days [T on P]. */
const VESSEL = { lengthMm: 300, widthMm: 240, heightMm: 140 } as const;
/** Tried beside the place straight under the fixture, mm. */
const ASIDE_MM = [0, 300, -300, 600, -600] as const;

/** Edit that hangs a small black tank under a fixture, with a breather, and lets its drain end there. */
export function proposeOwnVessel(design: Design, drain: Drain, name: string): Remedy[] {
  const fixture = design.fixtures.find(({ id }) => id === drain.fromFixture);
  const hung = buildAddTank(design, "black", name);
  const [insert] = hung.ops;
  if (!fixture || insert?.op !== "insert") return [];
  const usual = insert.value as Tank;
  const places = ASIDE_MM.flatMap((dx) => ASIDE_MM.map((dy) => [dx, dy] as const)).sort(
    (a, b) => Math.hypot(...a) - Math.hypot(...b),
  );
  return places.flatMap(([dx, dy]): Remedy[] => {
    const { x, y } = fixture.outletMm;
    const atMm = vec(
      Math.round(x + dx - VESSEL.lengthMm / 2),
      Math.round(y + dy - VESSEL.widthMm / 2),
      usual.atMm.z + ("heightMm" in usual.solid ? usual.solid.heightMm : 0) - VESSEL.heightMm - 40,
    );
    const tank: Tank = {
      ...usual,
      atMm,
      solid: { shape: "box", ...VESSEL },
      ports: usual.ports.map((port) =>
        port.kind === "inlet"
          ? {
              ...port,
              boreMm: drain.pipe.innerMm,
              atMm: vec(VESSEL.lengthMm / 2, VESSEL.widthMm, VESSEL.heightMm - drain.pipe.innerMm),
            }
          : { ...port, boreMm: 25, atMm: vec(0, VESSEL.widthMm / 2, 0) },
      ),
    };
    const ops: EditOp[] = [{ ...insert, value: tank }];
    const withTank = applyEdit(design, { ...hung, ops });
    if (!withTank.ok) return [];
    const vent = buildAddVent(withTank.design, tank);
    const vented = applyEdit(withTank.design, vent);
    const inlet = tank.ports.find(({ kind }) => kind === "inlet");
    if (!vented.ok || !inlet) return [];
    const goal = { kind: "inlet", tankId: tank.id, portId: inlet.id } as const;
    const redirect = buildRedirect(vented.design, drain.id, goal);
    if (!redirect) return [];
    const bends = layDown(drain, tank, fixture.outletMm.z);
    return [
      {
        byMm: null,
        edit: {
          code: "addOwnVessel",
          at: { kind: "fixture", id: fixture.id },
          ops: [...ops, ...vent.ops, ...redirect.ops, ...bends(fixture.outletMm)],
        },
      },
    ];
  });
}

// Down beside the fixture and straight on to the vessel's inlet, with fall to spare.
function layDown(drain: Drain, tank: Tank, outletZ: number) {
  return (outlet: { readonly x: number; readonly y: number }): EditOp[] => {
    const inlet = tank.ports.find(({ kind }) => kind === "inlet")!;
    const endZ = tank.atMm.z + inlet.atMm.z;
    const end = vec(tank.atMm.x + inlet.atMm.x, tank.atMm.y + inlet.atMm.y + 180, 0);
    const weirZ = outletZ - (findTrap(drain)?.dropMm ?? 0);
    const head = vec(
      end.x,
      end.y,
      Math.max(endZ + 30, weirZ - 12 - 0.05 * Math.hypot(end.x - outlet.x, end.y - outlet.y)),
    );
    const foot = vec(end.x, end.y, endZ + 20);
    return [
      { op: "set", path: ["lines", drain.id, "items"], value: listAtBeginning(drain) },
      { op: "set", path: ["lines", drain.id, "bendsMm"], value: [head, foot] },
    ];
  };
}
