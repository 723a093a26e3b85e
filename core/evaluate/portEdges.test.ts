import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import { SENDER_KINDS, type SenderKind } from "../design/plumbing";
import { vec } from "../geometry/vec";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

test("a bore may touch the edge of its wall and reach no further; a slope is larger than it looks", () => {
  const kranich = readDemo("kranich");
  const [tank] = kranich.tanks;
  const at = (z: number): Design => ({
    ...kranich,
    lines: [],
    tanks: [
      {
        ...tank!,
        solid: { shape: "box", lengthMm: 800, widthMm: 450, heightMm: 190 },
        ports: [{ ...createPort({ id: "one", kind: "plug", atMm: vec(0, 100, z), boreMm: 40 }) }],
      },
    ],
  });
  // 190 high, 40 of bore: from 0 to 150, and half a millimetre for the tape
  for (const z of [0, 75, 150, 150.5]) expect(findAll(at(z), "portOffWall")).toEqual([]);
  expect(findAll(at(151), "portOffWall")).toMatchObject([{ byMm: expect.closeTo(1, 6) }]);
  expect(findAll(at(-1), "portOffWall")).toMatchObject([{ byMm: expect.closeTo(1, 6) }]);
  for (const one of ALL_DEMOS) expect(findAll(one, "portOffWall")).toEqual([]);
});

test("a gauge that sits in the tank wants a hole where it sits; pads outside want none, and one press puts it there", () => {
  const kranich = readDemo("kranich");
  const [tank] = kranich.tanks;
  const gauged = (kind: SenderKind): Design => ({
    ...kranich,
    tanks: [{ ...tank!, sender: { kind, xMm: 310, yMm: 120, lowMm: 20, highMm: 150 } }],
  });
  for (const kind of SENDER_KINDS) {
    const design = gauged(kind);
    const [finding, ...more] = findAll(design, "senderUndrawn");
    expect([more, finding === undefined]).toEqual([[], kind === "pads"]);
    if (!finding) continue;
    const [remedy] = proposeRemedies(design, evaluate(design), finding);
    const drawn = mustApply(design, remedy!.edit);
    expect(findAll(drawn, "senderUndrawn")).toEqual([]);
    expect(drawn.tanks[0]!.ports.at(-1)).toMatchObject({ kind: "sender", atMm: { x: 310, y: 120, z: 190 } });
  }
});

test("a bore through the edge of its wall is set in by one press, as far as it must", () => {
  const kranich = readDemo("kranich");
  const [tank] = kranich.tanks;
  const high: Design = {
    ...kranich,
    tanks: [
      {
        ...tank!,
        ports: tank!.ports.map((port) => (port.kind === "inlet" ? { ...port, atMm: { ...port.atMm, z: 170 } } : port)),
      },
    ],
  };
  const [finding] = findAll(high, "portOffWall");
  const [remedy] = proposeRemedies(high, evaluate(high), finding!);
  const mended = mustApply(high, remedy!.edit);
  expect(findAll(mended, "portOffWall")).toEqual([]);
  // 190 high, 36.4 of bore
  const z = mended.tanks[0]!.ports.find(({ kind }) => kind === "inlet")!.atMm.z;
  expect([z <= 153.6, z > 152]).toEqual([true, true]);
});
