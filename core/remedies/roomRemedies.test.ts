import "../evaluate/fitted";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { buildMove, findPlaceMm } from "../design/moves";
import { evaluate } from "../evaluate/evaluate";
import { interpolate, measureLength, subtract } from "../geometry/vec";
import { proposeRemedies } from "./proposeRemedies";

const tell = (design: Design) => evaluate(design).findings.filter(({ code }) => code === "legTooShort");

/** The points of a line by their places, as far as there are any. */
function listPlaces(design: Design, lineId: string) {
  const places = [];
  for (let index = 0; ; index++) {
    const at = findPlaceMm(design, { kind: "bend", lineId, index });
    if (!at) return places;
    places.push(at);
  }
}

// Every second point of every drain and dump line pushed up to the one before it.
test("a piece that is too short for its fittings is made as long as they want, by moving one of its points", () => {
  const met = { told: 0, helped: 0 };
  for (const demo of ALL_DEMOS) {
    for (const line of demo.lines) {
      if (line.kind !== "drain" && line.kind !== "dumpLine") continue;
      const places = listPlaces(demo, line.id);
      for (let index = 1; index < places.length; index++) {
        const [before, at] = [places[index - 1]!, places[index]!];
        const lengthMm = measureLength(subtract(at, before));
        if (lengthMm < 60) continue;
        const move = buildMove(demo, { kind: "bend", lineId: line.id, index }, interpolate(before, at, 25 / lengthMm));
        const short = mustApply(demo, move!);
        const evaluation = evaluate(short);
        for (const finding of tell(short).filter(({ at: where }) => where.kind === "leg" && where.lineId === line.id)) {
          met.told += 1;
          const remedies = proposeRemedies(short, evaluation, finding);
          if (remedies.length > 0) met.helped += 1;
          for (const { edit, byMm } of remedies) {
            expect(edit.code).toBe("makeRoom");
            expect(byMm).toBeGreaterThan(0);
            expect(tell(mustApply(short, edit)).map(({ id }) => id)).not.toContain(finding.id);
          }
        }
      }
    }
  }
  expect(met.told).toBeGreaterThan(5);
  // what cannot be helped so has no point to move, or a must in every way
  expect(met.helped / met.told).toBeGreaterThan(0.9);
});
