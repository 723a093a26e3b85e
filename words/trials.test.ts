import { listSuspects, SYMPTOMS } from "@/core/trials/suspects";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { describeStep } from "./build";
import { describeSuspect, describeTrial } from "./trials";

// "Yes" says that the cause is among what the trial covers: what takes the cause away asks whether the fault is gone, what
// leaves the cause alone asks whether it shows.
test("a trial that takes its cause away asks whether the fault is gone, and no other does", () => {
  const takes = new Set(["primeTrap", "washMembrane", "bagAdmittance", "liftAdmittance"]);
  const seen = new Set<string>();
  for (const design of ALL_DEMOS) {
    for (const symptom of SYMPTOMS) {
      const { suspects, trials } = listSuspects(design, symptom);
      for (const trial of trials) {
        const { what, asks } = describeTrial(trial, design);
        expect([trial.kind, /\bgone\b/.test(asks)]).toEqual([trial.kind, takes.has(trial.kind)]);
        expect(asks).toMatch(/\?$/);
        expect(what).not.toMatch(/undefined|\bnull\b/);
        seen.add(trial.kind);
      }
      for (const suspect of suspects) expect(describeSuspect(suspect, design)).not.toMatch(/undefined/);
    }
  }
  for (const kind of takes) expect(seen).toContain(kind);
});

test("hoses that stand under no pressure are run through and felt, not brought to pressure", () => {
  const say = (name: "setzkasten" | "kranich-loop") =>
    describeStep(
      { id: "trialHoses:all", kind: "trialHoses", at: { kind: "rig" }, after: [], hours: 1 },
      readDemo(name),
    );
  expect(say("setzkasten")).toMatch(/^Run every pump/);
  expect(say("kranich-loop")).toContain("to pressure");
});
