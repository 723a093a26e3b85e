import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid, withLimit } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Drain, Vent } from "../design/plumbing";

// What hangs under a rig beside its tanks: pipes, hoses and gear are held to the sills and to the ramps as tanks are.

const van = readDemo("kranich-loop");
const sill = van.rig.sillZMm!;
const at = (id: string, zMm: number, xMm = 2500): Design => ({
  ...van,
  gear: van.gear.map((one) => (one.id === id ? { ...one, atMm: { x: xMm, y: 0, z: zMm } } : one)),
});
const toldOf = (design: Design, id: string) =>
  findAll(design, "partBelowSill").filter(({ at: part }) => "id" in part && part.id === id);

test("gear hangs over the sill line, to the hair; where that is not measured, over the ground", () => {
  expect(toldOf(at("guard", sill), "guard")).toEqual([]);
  expect(toldOf(at("guard", sill - 1), "guard")).toMatchObject([{ severity: "should", byMm: 1 }]);
  expect(toldOf(withLimit(at("guard", sill), "sillGap", 10), "guard")).toMatchObject([{ byMm: 10 }]);
  const unmeasured = (z: number): Design => ({ ...at("guard", z), rig: { ...van.rig, sillZMm: null } });
  expect(toldOf(unmeasured(van.rig.groundZMm), "guard")).toEqual([]);
  expect(toldOf(unmeasured(van.rig.groundZMm - 1), "guard")).toHaveLength(1);
  expect(toldOf(at("guard", 20), "guard")).toEqual([]);
});

test("of a pipe the lowest point counts, its wall with it, and it is told once", () => {
  const drain = van.lines.find(({ kind }) => kind === "drain") as Drain;
  const wallMm = (drain.pipe.outerMm - drain.pipe.innerMm) / 2;
  const low = (z: number): Design => ({
    ...van,
    lines: van.lines.map((line) =>
      line.id === drain.id
        ? { ...drain, bendsMm: drain.bendsMm.map((p, i) => (i >= drain.bendsMm.length - 2 ? { ...p, z: z + i } : p)) }
        : line,
    ),
  });
  const at0 = drain.bendsMm.length - 2;
  expect(toldOf(low(sill + wallMm - at0), drain.id)).toEqual([]);
  const [told, ...more] = toldOf(low(sill + wallMm - at0 - 2), drain.id);
  expect(told!.byMm).toBeCloseTo(2, 6);
  expect(more).toEqual([]);
  const vent = van.lines.find(({ kind }) => kind === "vent") as Vent;
  const sagging: Design = {
    ...van,
    lines: van.lines.map((line) =>
      line.id === vent.id
        ? { ...vent, pointsMm: [{ id: "low", x: 2500, y: 0, z: sill - 40 }, ...vent.pointsMm] }
        : line,
    ),
  };
  expect(toldOf(sagging, vent.id)).toHaveLength(1);
});

test("what touches first on a ramp may be a piece of gear or a hose; a boat has neither ramp nor sill", () => {
  const rear = van.rig.axles[0]!.xMm;
  const far = at("guard", van.rig.groundZMm + 40, rear + 900);
  expect(findAll(far, "touchesRamp").map(({ at: part }) => part)).toContainEqual({ kind: "gear", id: "guard" });
  expect(isSaid(van, "touchesRamp")).toBe(false);
  const boat: Design = { ...far, rig: { ...van.rig, kind: "boat" } };
  expect(isSaid(boat, "touchesRamp")).toBe(false);
  expect(isSaid(boat, "partBelowSill")).toBe(false);
});
