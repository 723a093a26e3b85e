import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import { roundTenth } from "../design/moves";
import { nameDrain } from "../design/nameDrain";
import type { Drain, Port } from "../design/plumbing";
import { clearPort } from "../fit/clearPort";
import { measureExtent } from "../geometry/solid";
import { add, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";

/** How far the copy stands from the original, mm: a washstand's width. */
const BESIDE_MM = 450;
const PORT_BESIDE_MM = 70;

/**
 * Edit that copies a fixture with its drain beside itself, toward where the floor has more room. The copy ends where the
 * original does: in the same drain at the same bend, or in an inlet of its own beside the other. Null where it is not
 * there or has no drain.
 */
export function buildCopyFixture(design: Design, fixtureId: string, name: string): Edit | null {
  const fixture = design.fixtures.find(({ id }) => id === fixtureId);
  const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === fixtureId);
  if (!fixture || !drain) return null;
  const sense = fixture.outletMm.x + BESIDE_MM <= design.rig.lengthMm ? 1 : -1;
  const by = vec(sense * BESIDE_MM, 0, 0);
  const shift = (p: Vec3) => roundTenth(add(p, by));
  const newFixtureId = freeId(fixture.kind.toLowerCase(), design.fixtures);
  const newDrainId = freeId(`${newFixtureId}-drain`, design.lines);
  const { locked: _held, ...measures } = fixture;
  const { locked: _laid, ...course } = drain;
  const end = copyEnd(design, drain, sense);
  const ops: EditOp[] = [
    {
      op: "insert",
      path: ["fixtures"],
      index: design.fixtures.length,
      value: { ...measures, id: newFixtureId, name, outletMm: shift(fixture.outletMm) },
    },
    ...end.ops,
    {
      op: "insert",
      path: ["lines"],
      index: design.lines.length,
      value: {
        ...course,
        id: newDrainId,
        name: nameDrain(name),
        fromFixture: newFixtureId,
        to: end.to,
        // what sits at its bends goes by their ids
        bendsMm: drain.bendsMm.map((node) => ({ ...shift(node), id: node.id })),
      },
    },
  ];
  return { code: "copyFixture", at: { kind: "line", id: newDrainId }, ops };
}

function copyEnd(design: Design, { to }: Drain, sense: number): { readonly to: Drain["to"]; readonly ops: EditOp[] } {
  if (to.kind === "junction" || to.kind === "overboard" || to.kind === "sump") return { to, ops: [] };
  if (to.kind !== "inlet") {
    return { to: { ...to, atMm: { ...to.atMm, x: to.atMm.x + sense * PORT_BESIDE_MM } }, ops: [] };
  }
  const tank = design.tanks.find(({ id }) => id === to.tankId)!;
  const port = tank.ports.find(({ id }) => id === to.portId)!;
  const { min, max } = measureExtent(tank.solid);
  // along the wall it sits in: an inlet in an end wall moves sideways
  const isInEnd = port.atMm.x <= min.x + 1 || port.atMm.x >= max.x - 1;
  const at = isInEnd
    ? { ...port.atMm, y: clamp(port.atMm.y + PORT_BESIDE_MM, min.y, max.y) }
    : { ...port.atMm, x: clamp(port.atMm.x + sense * PORT_BESIDE_MM, min.x, max.x) };
  const copy: Port = clearPort(tank, {
    ...port,
    id: freeId(
      "inlet",
      design.tanks.flatMap(({ ports }) => ports),
    ),
    atMm: at,
  });
  return {
    to: { kind: "inlet", tankId: tank.id, portId: copy.id },
    ops: [{ op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value: copy }],
  };
}
