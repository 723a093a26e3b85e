import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { FASTENERS, FIXING_KINDS, type Fixing, type Tank } from "../design/plumbing";
import { RIG_KINDS, type RigKind } from "../design/rig";
import { computeFixing } from "../fixing/fixing";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { checkFixing } from "./checkFixing";
import { evaluate } from "./evaluate";

const kranich = readDemo("kranich");
const withKind = (kind: RigKind): Design => ({ ...kranich, rig: { ...kranich.rig, kind } });
const tankAt = (z: number, fixing: Fixing | null): Tank => {
  const [tank] = kranich.tanks;
  return { ...tank!, atMm: { ...tank!.atMm, z }, fixing };
};
const codesOf = (design: Design, tank: Tank) => checkFixing(design, tank).map(({ code }) => code);

test.each(RIG_KINDS)("in a %s nothing entered is said of every tank, under the floor and over it", (kind) => {
  for (const z of [-400, -1, 0, 300, -400]) {
    const [finding, ...others] = checkFixing(withKind(kind), tankAt(z, null));
    expect(others).toEqual([]);
    expect(finding).toMatchObject({ code: "fixingMissing", isAfloat: kind === "boat" });
    expect(codesOf(withKind(kind), tankAt(z, { ...SAMPLE_FIXING, kind: "tray", hasPlate: true }))).not.toContain(
      "fixingMissing",
    );
  }
});

test("a rating is asked for unless a through bolt bears it alone, and both ways; bare sheet wants a plate", () => {
  const fixings: fc.Arbitrary<Fixing> = fc.record({
    kind: fc.constantFrom(...FIXING_KINDS),
    fastener: fc.constantFrom(...FASTENERS),
    bolts: fc.integer({ min: 2, max: 5 }).map((pairs) => pairs * 2),
    size: fc.constant("M10" as const),
    placesMm: fc.constant(null),
    heldKN: fc.constantFrom(null, 150),
    heldShearKN: fc.constantFrom(null, 150),
    heldFactor: fc.constant(1),
    strapKN: fc.constantFrom(null, 150),
    hasPlate: fc.boolean(),
    hasEndStop: fc.boolean(),
  });
  fc.assert(
    fc.property(fixings, fc.constantFrom(...RIG_KINDS), (fixing, kind) => {
      const codes = codesOf(withKind(kind), tankAt(-290, fixing));
      const isRated = fixing.heldKN !== null && fixing.heldShearKN !== null;
      const isAlone = fixing.fastener === "through" && fixing.kind !== "straps";
      expect(codes.includes("fixingUnrated")).toBe(!isRated && !isAlone);
      expect(codes.includes("fixingNoPlate")).toBe(fixing.fastener === "through" && !fixing.hasPlate && !isRated);
      expect(codes.includes("fixingScrewed")).toBe(fixing.fastener === "selfTapping");
    }),
  );
});

test("what does not hold is told with the load that takes most, and told only when one takes more than all", () => {
  for (const [kind, crashClass] of [
    ["van", "m1n1"],
    ["trailer", "none"],
    ["boat", "none"],
  ] as const) {
    const design = { ...kranich, rig: { ...kranich.rig, kind, crashClass } };
    for (const heldKN of [0.2, 0.5, 1, 2, 5, 20]) {
      const tank = tankAt(-290, { ...SAMPLE_FIXING, kind: "brackets", heldKN, heldShearKN: heldKN });
      const cases = computeFixing(tank, tank.fixing!, design.rig)!;
      const most = Math.max(...cases.map(({ utilisation }) => utilisation));
      const said = checkFixing(design, tank).find(({ code }) => code === "fixingWeak");
      if (most <= 1) expect(said).toBeUndefined();
      else {
        const load = cases.find(({ utilisation }) => utilisation === most)!.load.id;
        expect(said).toMatchObject({ load, utilisation: most });
      }
    }
  }
});

test("a van or a bus with no crash class is told, and reckoned with the usual one by one press; nobody rides in a trailer", () => {
  for (const name of ["kranich", "lesesaal", "puppenwagen", "otter"] as const) {
    const base = readDemo(name);
    const design = { ...base, rig: { ...base.rig, crashClass: "none" as const } };
    const evaluation = evaluate(design);
    const finding = evaluation.findings.find(({ code }) => code === "crashLeftOut");
    expect(finding !== undefined).toBe(name === "kranich" || name === "lesesaal");
    if (!finding) continue;
    const [remedy] = proposeRemedies(design, evaluation, finding);
    const outcome = applyEdit(design, remedy!.edit);
    expect(outcome.ok && outcome.design.rig).toEqual(base.rig);
    expect(evaluate({ ...design, tanks: [], lines: [] }).findings.map(({ code }) => code)).not.toContain(
      "crashLeftOut",
    );
  }
});
