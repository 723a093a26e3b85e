import "../evaluate/fitted";
import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import { spoil } from "@/tests/spoil";
import { evaluate } from "../evaluate/evaluate";
import { proposeRemedies } from "./proposeRemedies";

const RIGS = ["kranich", "lesesaal", "puppenwagen", "otter"] as const;

// The inlet so much lower in its tank, and the tank as much higher, so that the drain ends where it did.
function setLow(name: (typeof RIGS)[number], byMm: number) {
  const design = readDemo(name);
  const tank = design.tanks[0]!;
  const at = tank.ports.findIndex(({ kind }) => kind === "inlet");
  return spoil(design, {
    [`tanks.0.ports.${at}.atMm.z`]: tank.ports[at]!.atMm.z - byMm,
    "tanks.0.atMm.z": tank.atMm.z + byMm,
  });
}

test.each(RIGS)(
  "%s: an inlet that floods early is set higher, with its tank as much lower where its drain has no fall to spare",
  (name) => {
    for (const byMm of [40, 80]) {
      const design = setLow(name, byMm);
      const evaluation = evaluate(design);
      const early = evaluation.findings.filter(({ code }) => code === "inletDrownsEarly");
      expect(early.length).toBeGreaterThan(0);
      for (const finding of early) {
        const remedies = proposeRemedies(design, evaluation, finding);
        expect(remedies.some(({ newFindings }) => newFindings === 0)).toBe(true);
        for (const { edit } of remedies) {
          const after = evaluate(mustApply(design, edit));
          expect(after.findings.map(({ id }) => id)).not.toContain(finding.id);
          if (edit.code !== "lowerTank") continue;
          for (const [i, drain] of evaluation.drains.entries()) {
            const isOwn = design.lines.some(
              (line) =>
                line.kind === "drain" &&
                line.id === drain.lineId &&
                line.to.kind === "inlet" &&
                finding.at.kind === "port" &&
                line.to.portId === finding.at.id,
            );
            // what runs to it keeps its fall; what runs to another inlet of the tank has more of it
            if (isOwn) expect(after.drains[i]!.worst.inHandMm).toBeCloseTo(drain.worst.inHandMm, 6);
            else expect(after.drains[i]!.worst.inHandMm).toBeGreaterThanOrEqual(drain.worst.inHandMm - 1e-6);
          }
        }
      }
    }
  },
);
