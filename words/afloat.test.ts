import fc from "fast-check";
import { listSteps } from "@/core/build/steps";
import { evaluate } from "@/core/evaluate/evaluate";
import { listDrainDown } from "@/core/frost/drainDown";
import { groupHazards, proveInterlock } from "@/core/gear/interlock";
import { DEMO_NAMES, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { speakFor } from "./afloat";
import { describeStep, tellStep } from "./build";
import { describeFinding } from "./findings";
import { describeDrainDown } from "./frost";
import { HOLE_STEPS } from "./holes";
import { describeHazard } from "./interlock";
import { LIMIT_NAMES } from "./limits";

/** What nobody says aboard, and what nobody says ashore. */
const ASHORE = /\b(the floor|rear edge|axle stands|jack|left of the middle|right of the middle|before you drive)\b/i;
const AFLOAT = /\b(the sole|after edge|port of the middle|the bilge|she lies)\b/i;

test("what is said of a rig is said in its own words: findings, steps, hazards, drain-down", () => {
  for (const name of [...DEMO_NAMES, ...HEADS_NAMES, ...LOOP_NAMES]) {
    const design = readDemo(name);
    const evaluation = evaluate(design);
    const said = [
      ...evaluation.findings.flatMap((finding) => Object.values(describeFinding(finding, design, "metric"))),
      ...listSteps(design, evaluation).flatMap((step) => {
        const { tools, caution } = tellStep(step, design);
        return [describeStep(step, design), tools, caution ?? ""];
      }),
      ...groupHazards(design, proveInterlock(design)).map(([hazard]) => describeHazard(design, hazard)),
      ...listDrainDown(design, evaluation).map((step) => describeDrainDown(step, design, "metric")),
    ];
    expect(said.join("\n")).not.toMatch(design.rig.kind === "boat" ? ASHORE : AFLOAT);
  }
});

test("labels and rules afloat: said once, said the same when said again; ashore nothing changes", () => {
  const afloat = speakFor("boat");
  const texts = [...Object.values(LIMIT_NAMES).flatMap(({ name, plain }) => [name, plain]), ...HOLE_STEPS];
  for (const text of texts) {
    expect(afloat(afloat(text))).toBe(afloat(text));
    expect(afloat(text)).not.toMatch(ASHORE);
    for (const kind of ["van", "bus", "trailer", null, undefined] as const) expect(speakFor(kind)(text)).toBe(text);
  }
  expect(afloat("Place of its rear right bottom corner")).toBe("Place of its after starboard bottom corner");
  expect(afloat("Over the floor")).toBe("Over the sole");
  expect(afloat("Left of the middle")).toBe("To port of the middle");
  // gas deadens a nose aboard as well
  expect(afloat("Tank gas can kill and deadens the nose.")).toBe("Tank gas can kill and deadens the nose.");
});

test("a text without words of the land is left as it is", () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom("Hose", "tank", "12 mm", "of", "Galley", "loop,", "under")), (words) => {
      expect(speakFor("boat")(words.join(" "))).toBe(words.join(" "));
    }),
  );
});
