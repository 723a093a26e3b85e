import "../evaluate/fitted";
import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { listLeaves, setLeaf } from "@/tests/leaves";
import { mustApply } from "@/tests/sharedAir";
import { spoil } from "@/tests/spoil";
import type { Design } from "../design/design";
import { parseDesign } from "../design/parseDesign";
import { evaluate } from "../evaluate/evaluate";
import type { Finding, FindingCode } from "../evaluate/findings";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { seekRemedies } from "./seekRemedies";

const find = (design: Design, code: FindingCode, lineId: string): Finding => {
  const found = evaluate(design).findings.find(
    ({ code: is, at }) => is === code && (("lineId" in at && at.lineId === lineId) || ("id" in at && at.id === lineId)),
  );
  if (!found) throw new Error(`${code} is not found on ${lineId}`);
  return found;
};

const idsOf = (design: Design, severity: Finding["severity"]): readonly string[] =>
  evaluate(design).findings.flatMap((one) => (one.severity === severity ? one.id : []));

test.each([
  ["a drain", spoil(readDemo("otter"), { "lines.0.bendsMm.1.y": 1260 }), "legHitsObstacle", "sink-drain"],
  ["a hose", spoil(readDemo("otter-heads"), { "lines.9.pointsMm.2.y": 1920 }), "legHitsObstacle", "h-deck"],
  [
    "a breather",
    spoil(readDemo("kranich-loop"), { "lines.4.pointsMm.0.x": 3384, "tanks.0.ports.2.atMm.y": 75 }),
    "legHitsObstacle",
    "fresh-vent",
  ],
] as const)(
  "where no shift of it helps %s is laid another way, which settles it and brings no must",
  (_, design, code, id) => {
    const finding = find(design, code, id);
    const evaluation = evaluate(design);
    expect(proposeRemedies(design, evaluation, finding)).toEqual([]);
    const [remedy] = seekRemedies(design, evaluation, finding);
    expect(remedy?.edit).toMatchObject({ code: "reroute", at: { kind: "line", id } });
    const after = mustApply(design, remedy!.edit);
    const before = idsOf(design, "must");
    for (const must of idsOf(after, "must")) expect(before).toContain(must);
    expect(evaluate(after).findings.map((one) => one.id)).not.toContain(finding.id);
  },
);

test("an outlet that stands where nothing can fall is told with what has to move for the way", () => {
  const design = spoil(readDemo("lesesaal-furnished"), { "tanks.0.atMm.x": 5700 });
  const evaluation = evaluate(design);
  const finding = find(design, "pipesClash", "outsideshower-drain");
  const moved = seekRemedies(design, evaluation, finding).filter(
    ({ edit, byMm }) => edit.code === "reroute" && byMm !== null,
  );
  expect(moved.length).toBeGreaterThan(0);
  for (const { edit, way, byMm } of moved) {
    const after = mustApply(design, edit);
    const isTank = way === "down";
    const [was, is] = [design, after].map((one) => {
      const drain = one.lines.find((line) => edit.at.kind === "line" && line.id === edit.at.id);
      const fixture = one.fixtures.find(({ id }) => drain?.kind === "drain" && id === drain.fromFixture);
      return isTank ? one.tanks.map(({ atMm }) => atMm) : [fixture!.outletMm];
    });
    const far = was!.map((p, i) => Math.hypot(p.x - is![i]!.x, p.y - is![i]!.y, p.z - is![i]!.z));
    expect(Math.max(...far)).toBeCloseTo(byMm!, 0);
  }
});

/** One number of a sample set otherwise. */
const spoiled = fc
  .record({
    design: fc.constantFrom(...ALL_DEMOS),
    which: fc.nat(),
    change: fc.constantFrom<(mm: number) => number>(
      (mm) => mm + 150,
      (mm) => mm - 150,
      (mm) => mm * 0.6,
      (mm) => mm * 1.5,
    ),
  })
  .map(({ design, which, change }) => {
    const leaves = listLeaves(design).filter(
      ({ value, path }) =>
        typeof value === "number" && ["lines", "tanks", "obstacles", "fixtures"].includes(`${path[0]}`),
    );
    const leaf = leaves[which % leaves.length]!;
    const read = parseDesign(setLeaf(design, leaf.path, Math.round(change(leaf.value as number))));
    return { known: new Set(evaluate(design).findings.map(({ id }) => id)), design: read.ok ? read.design : design };
  });

const lineOf = ({ at }: Finding): string | null => ("lineId" in at ? at.lineId : at.kind === "line" ? at.id : null);

test("whatever is offered settles what it is offered for, brings no must, and leaves the line no more of the same", () => {
  let offered = 0;
  fc.assert(
    fc.property(spoiled, ({ design, known }) => {
      const evaluation = evaluate(design);
      const musts = evaluation.findings.filter(({ severity }) => severity === "must").map(({ id }) => id);
      const told = evaluation.findings.filter(({ id, severity }) => severity !== "note" && !known.has(id));
      for (const finding of told.slice(0, 2)) {
        const remedies = seekRemedies(design, evaluation, finding);
        const brought = remedies.map(({ newFindings }) => newFindings);
        expect(brought).toEqual([...brought].sort((a, b) => a - b));
        for (const { edit } of remedies) {
          offered += 1;
          const { findings } = evaluate(mustApply(design, edit), evaluation.attitude);
          expect(findings.map(({ id }) => id)).not.toContain(finding.id);
          for (const { id } of findings.filter(({ severity }) => severity === "must")) expect(musts).toContain(id);
          if (finding.at.kind !== "leg") continue;
          const isLike = (one: Finding) => one.code === finding.code && lineOf(one) === lineOf(finding);
          expect(findings.filter(isLike).length).toBeLessThan(evaluation.findings.filter(isLike).length);
        }
      }
    }),
    { numRuns: 25 },
  );
  expect(offered).toBeGreaterThan(3);
});
