"use client";
import { freeId } from "@/core/design/freeId";
import type { Fixture, Tank } from "@/core/design/plumbing";
import { add, vec } from "@/core/geometry/vec";
import { useTrailing } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { Button } from "../kit/Button";
import { useEdits } from "./useEdits";

/** For fixtures without a drain: one tap draws the straightest there is, to be bent into shape. */
export function DrawDrain() {
  const design = useTrailing((state) => state.history!.design);
  const { insert } = useEdits();
  const undrained = design.fixtures.filter(
    (f) => !design.lines.some((line) => line.kind === "drain" && line.fromFixture === f.id),
  );
  const tank = design.tanks.find((t) => t.ports.some((p) => p.kind === "inlet"));
  const inlet = tank?.ports.find((p) => p.kind === "inlet");
  if (undrained.length === 0) return null;
  if (!tank || !inlet) return <p className="px-3 py-2 text-faint">A drain needs a tank with an inlet.</p>;
  const draw = (fixture: Fixture) => {
    const id = freeId("drain", design.lines);
    const drain = createDrain(id, fixture, tank, inlet.id);
    const refused = insert({ kind: "line", id }, ["lines"], 0, drain, "addDrain");
    if (refused === null) look({ drainId: id });
  };
  return (
    <div className="px-3 py-2">
      {undrained.map((fixture) => (
        <Button key={fixture.id} look="plate" onClick={() => draw(fixture)}>
          Draw a drain from {fixture.name}
        </Button>
      ))}
    </div>
  );
}

function createDrain(id: string, fixture: Fixture, tank: Tank, inletId: string) {
  const inlet = tank.ports.find((p) => p.id === inletId)!;
  const end = add(tank.atMm, inlet.atMm);
  const weirZ = fixture.outletMm.z - 90;
  return {
    id,
    name: `${fixture.name} drain`,
    kind: "drain",
    pipe: { innerMm: 36.4, outerMm: 40, manningN: 0.009 },
    fromFixture: fixture.id,
    toTank: tank.id,
    toPort: inletId,
    trap: { kind: "pTrap", sealMm: 50, dropMm: 90, spanMm: 80 },
    branchVent: null,
    bendsMm: [
      vec(fixture.outletMm.x - 180, fixture.outletMm.y, Math.max(weirZ - 10, end.z + 40)),
      vec(fixture.outletMm.x - 180, fixture.outletMm.y, end.z + 30),
    ],
  };
}
