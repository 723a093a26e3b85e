import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { withTrap } from "../design/lineItems";
import { TRAP_KINDS } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { evaluate } from "../evaluate/evaluate";
import { compareTraps } from "./trapSchools";

test("each kind is what the whole design says with that trap fitted to that drain and no other", () => {
  const design = readDemo("lesesaal-furnished");
  const drains = design.lines.filter(({ kind }) => kind === "drain");
  for (const { id } of [drains[0]!, drains[4]!, drains.at(-1)!]) {
    for (const school of compareTraps(design, id)) {
      const lines = design.lines.map((line) =>
        line.id === id && line.kind === "drain" ? withTrap(line, USUAL_TRAPS[school.kind]) : line,
      );
      const drain = evaluate({ ...design, lines }).drains.find(({ lineId }) => lineId === id)!;
      expect(school.worstMm).toBe(drain.worst.inHandMm);
      expect(school.afterDrivingMm).toBe(drain.trapRisks?.afterDrivingMm ?? null);
      expect(school.dryWeeks).toBe(drain.trapRisks?.dryWeeks ?? null);
    }
  }
});

test("a waterless valve costs the least height and loses no water by driving or drying", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const schools = compareTraps(design, "sink-drain");
      expect(schools.map(({ kind }) => kind)).toEqual([...TRAP_KINDS]);
      const membrane = schools.find(({ kind }) => kind === "membrane")!;
      expect(membrane.heightMm).toBe(Math.min(...schools.map(({ heightMm }) => heightMm)));
      expect(membrane.afterDrivingMm).toBeNull();
      expect(schools.filter(({ kind }) => kind !== "membrane").every(({ dryWeeks }) => dryWeeks! > 0)).toBe(true);
    }),
    { numRuns: 20 },
  );
});
