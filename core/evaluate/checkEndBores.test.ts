import "./fitted";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { findLastPipe } from "../design/lineItems";
import type { Line } from "../design/plumbing";

const withPort = (design: Design, tankId: string, portId: string, boreMm: number): Design => ({
  ...design,
  tanks: design.tanks.map((tank) =>
    tank.id !== tankId
      ? tank
      : { ...tank, ports: tank.ports.map((port) => (port.id === portId ? { ...port, boreMm } : port)) },
  ),
});
const withFitting = (design: Design, gearId: string, boreMm: number): Design => ({
  ...design,
  gear: design.gear.map((piece) =>
    piece.id === gearId ? ({ ...piece, spec: { ...piece.spec, boreMm } } as Gear) : piece,
  ),
});

/** Every end of a line of the samples at a tank's port by a hose, or at a skin fitting, as: with another bore there. */
function listCases() {
  return ALL_DEMOS.flatMap((design) =>
    design.lines.flatMap((line: Line) => {
      const ends = line.kind === "hose" ? [line.from, line.to] : line.kind === "drain" ? [line.to] : [];
      return ends.flatMap((end) => {
        if (end.kind === "tank" && line.kind === "hose")
          return [{ design, line, put: (mm: number) => withPort(design, end.tankId, end.portId, mm), at: end.portId }];
        if (!("gearId" in end)) return [];
        const piece = design.gear.find(({ id }) => id === end.gearId);
        return piece?.spec.kind === "skinFitting"
          ? [{ design, line, put: (mm: number) => withFitting(design, end.gearId, mm), at: end.gearId }]
          : [];
      });
    }),
  );
}

test("every port and fitting of the samples is told of where it is narrower than its line, and only then; where sewage goes at the least", () => {
  const cases = listCases();
  expect(cases.length).toBeGreaterThan(15);
  let musts = 0;
  for (const { line, put, at, design } of cases) {
    const { innerMm } = findLastPipe(line);
    const toldAt = (mm: number) =>
      findAll(put(mm), "endNarrow").filter((one) => one.otherId === line.id && "id" in one.at && one.at.id === at);
    expect(toldAt(innerMm)).toEqual([]);
    expect(toldAt(innerMm * 0.79)).toMatchObject([{ endMm: innerMm * 0.79, boreMm: innerMm }]);
    const [told] = toldAt(innerMm - 2);
    // a tail's share of a hose is let pass where the water is clean
    const isClean = line.kind === "hose" && findAll(put(innerMm * 0.79), "endNarrow")[0]!.severity === "should";
    if (isClean) expect(told !== undefined).toBe(innerMm - 2 < 0.8 * innerMm);
    else expect(told).toBeDefined();
    if (told?.severity === "must") musts += 1;
    expect(findAll(design, "endNarrow")).toEqual([]);
  }
  expect(musts).toBeGreaterThan(3);
});

test("a toilet's hose into a tank, and what is sucked out of it, must not narrow; a galley's drain through her side should not", () => {
  const boat = readDemo("otter-heads");
  expect(findAll(withPort(boat, "black", "in", 25), "endNarrow")).toMatchObject([
    { severity: "must", isFoul: true, otherId: "h-tank", at: { kind: "port", id: "in" } },
  ]);
  expect(findAll(withPort(boat, "black", "draw", 25), "endNarrow")).toMatchObject([{ severity: "must" }]);
  expect(findAll(withFitting(boat, "galley-out", 25), "endNarrow")).toMatchObject([
    { severity: "should", isFoul: false, otherId: "sink-drain" },
  ]);
});
