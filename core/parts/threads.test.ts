import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { listGoods } from "../build/goods";
import { type Line, THREADS } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { PIPE_SIZES } from "./pipes";
import { listRigJoints, toEnd } from "./rigJoints";
import { END_KINDS, END_SIZES, findPitch, judgeJoint } from "./threads";

// Published: ISO 7-1, ASME B1.20.1, ASME B1.20.7, from memory: 14 and 14 at 1/2 and 3/4, 11 and 11.5 from 1 to 2 in.
test.each([
  ["1/2", 14, 14, "startsAndLeaks"],
  ["3/4", 14, 14, "startsAndLeaks"],
  ["1", 11, 11.5, "jams"],
  ["1 1/2", 11, 11.5, "jams"],
  ["2", 11, 11.5, "jams"],
] as const)("%s in: BSPT has %s threads an inch, NPT %s: it %s", (size, bsp, npt, fit) => {
  expect(findPitch("bspt", size)).toBe(bsp);
  expect(findPitch("npt", size)).toBe(npt);
  expect(judgeJoint("bspt", "npt", size).fit).toBe(fit);
});

test("garden hose is 3/4 only, and neither pipe thread goes on it", () => {
  expect(findPitch("gardenHose", "3/4")).toBe(11.5);
  expect(judgeJoint("gardenHose", "npt", "3/4").fit).toBe("jams");
  expect(judgeJoint("gardenHose", "bspp", "3/4").fit).toBe("jams");
  expect(judgeJoint("gardenHose", "gardenHose", "1/2").fit).toBe("notMade");
});

test("the verdict does not depend on which end is named first; an end fits its like with its own seal", () => {
  for (const size of END_SIZES)
    for (const one of END_KINDS) {
      for (const other of END_KINDS) expect(judgeJoint(one, other, size)).toEqual(judgeJoint(other, one, size));
      const own = judgeJoint(one, one, size);
      if (own.fit === "fits") expect(own.sealant).not.toBeNull();
    }
  expect(judgeJoint("bspp", "bspp", "1").sealant).toBe("washer");
  expect(judgeJoint("solventPvc", "hoseBarb", "1").fit).toBe("adaptor");
});

test("every line's end at a tank or a piece of gear is a joint; a thread never takes a pipe without an adaptor, and the parts have it", () => {
  for (const name of [...DEMO_NAMES, ...LOOP_NAMES, FURNISHED, HEADS_NAME, ...HEADS_NAMES] as const) {
    const plain = readDemo(name);
    // threads in turn, so that every kind of line meets one
    const design = {
      ...plain,
      tanks: plain.tanks.map((tank) => ({
        ...tank,
        ports: tank.ports.map((port, i) => ({
          ...port,
          thread: i % 3 === 0 ? null : THREADS[(i * 5) % THREADS.length]!,
        })),
      })),
    };
    const joints = listRigJoints(design);
    const ends = design.lines.reduce(
      (sum, line) => sum + (line.kind === "hose" ? 2 : line.kind !== "drain" || line.to.kind === "inlet" ? 1 : 0),
      0,
    );
    expect(joints).toHaveLength(ends);
    const threaded = joints.filter(({ one }) => one !== null);
    for (const { verdict } of threaded) expect(verdict!.fit).toBe("adaptor");
    const adaptors = listGoods(design, evaluate(design)).filter(({ ware }) => ware.kind === "adaptor");
    expect(adaptors).toHaveLength(threaded.length);
    for (const { thread } of threaded.map(({ one }) => one!)) expect(toEnd(thread).size.length).toBeGreaterThan(0);
  }
});

test("at a tank's inlet stands the pipe the drain has changed to", () => {
  const design = readDemo("kranich");
  const hose = PIPE_SIZES.find(({ family }) => family === "smoothHose")!.pipe;
  const lines = design.lines.map((line): Line => {
    if (line.kind !== "drain") return line;
    const change = { kind: "pipeChange", node: line.bendsMm[0]!.id, joint: "hoseBarb", pipe: hose } as const;
    return { ...line, items: [...line.items, change] };
  });
  const joint = listRigJoints({ ...design, lines }).find(({ lineId }) =>
    lines.some(({ id, kind }) => id === lineId && kind === "drain"),
  );
  expect(joint!.other).toEqual({ kind: "hoseBarb", pipe: hose });
});
