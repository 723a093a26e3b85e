import fc from "fast-check";
import { ALL_DEMOS, DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { chooseTrial, countTrialsLeft, type Shown, USUAL_ERROR, updateChances } from "./findFault";
import { listSuspects, type Suspect, SYMPTOMS, type Trial } from "./suspects";

/** A chain of n equal suspects, with a trial up to each of them. */
function makeChain(n: number): { suspects: Suspect[]; trials: Trial[] } {
  const suspects = Array.from(
    { length: n },
    (_, i): Suspect => ({ id: `s${i}`, kind: "bendJoint", at: { kind: "rig" }, weight: 1 }),
  );
  const trials = suspects.map(
    (_, i): Trial => ({
      id: `t${i}`,
      kind: "fillDrainTo",
      at: { kind: "rig" },
      covers: new Set(suspects.slice(0, i + 1).map(({ id }) => id)),
    }),
  );
  return { suspects, trials };
}

// Answers truthfully until only the planted one is left, or nothing tells any more.
function search(suspects: readonly Suspect[], trials: readonly Trial[], plantedId: string, error: number) {
  const shown: Shown[] = [];
  for (;;) {
    const chances = updateChances(suspects, trials, shown, error);
    const next = chooseTrial(chances, trials, shown, error);
    if (!next || chances[0]!.share > 0.999) return { steps: shown.length, chances };
    shown.push({ trialId: next.trial.id, showed: next.trial.covers.has(plantedId) });
  }
}

test("n equal suspects in a row take at most ⌈log2 n⌉ trials, wherever the fault is", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.nat(), (n, where) => {
      const { suspects, trials } = makeChain(n);
      const planted = suspects[where % n]!;
      const { steps, chances } = search(suspects, trials, planted.id, 0);
      expect(chances[0]!.suspect.id).toBe(planted.id);
      expect(steps).toBeLessThanOrEqual(Math.ceil(Math.log2(n)));
    }),
  );
});

test.each([...DEMO_NAMES, FURNISHED] as const)(
  "%s: a fault planted anywhere is found by answering truthfully",
  (name) => {
    const design = readDemo(name);
    for (const symptom of SYMPTOMS) {
      const { suspects, trials } = listSuspects(design, symptom);
      if (suspects.length === 0) continue;
      expect(new Set(suspects.map(({ id }) => id)).size).toBe(suspects.length);
      for (const planted of suspects) {
        const { chances } = search(suspects, trials, planted.id, 0);
        const like = chances.filter(({ share }) => share >= chances[0]!.share - 1e-9).map(({ suspect }) => suspect.id);
        // what no trial can part stays together
        expect(like).toContain(planted.id);
      }
    }
  },
);

test("where every trial shows nothing, what is not drawn is what is left, on every sample and for every symptom", () => {
  for (const design of ALL_DEMOS) {
    for (const symptom of SYMPTOMS) {
      const { suspects, trials } = listSuspects(design, symptom);
      if (suspects.length === 0) continue;
      const { chances } = search(suspects, trials, "nobody", USUAL_ERROR);
      expect([design.id, symptom, chances[0]!.suspect.kind]).toEqual([design.id, symptom, "notDrawn"]);
      // and whatever is drawn is covered by a trial that some other is not in, or it could never be told
      for (const { id, kind } of suspects) {
        const covering = trials.filter(({ covers }) => covers.has(id));
        expect([design.id, symptom, id, covering.length > 0]).toEqual([design.id, symptom, id, kind !== "notDrawn"]);
      }
    }
  }
});

test("a boat's skin is suspected and her sole is not; what holds foul water is run and felt, not put under pressure", () => {
  const { suspects, trials } = listSuspects(readDemo("otter-heads"), "wetFloor");
  const kinds = new Set(suspects.map(({ kind }) => kind));
  expect([...kinds]).toEqual(expect.arrayContaining(["skinSeal", "deckSeal", "wasteSeal", "tankWall"]));
  expect(kinds).not.toContain("holeSeal");
  const pressed = trials.filter(({ kind }) => kind === "pressHoses").flatMap(({ covers }) => [...covers]);
  for (const piece of readDemo("otter-heads").gear)
    if (["bowl", "ventedLoop", "skinFitting", "sump"].includes(piece.spec.kind))
      expect(pressed).not.toContain(`gearBody:${piece.id}`);
  const van = new Set(listSuspects(readDemo("kranich"), "wetFloor").suspects.map(({ kind }) => kind));
  expect(van).toContain("holeSeal");
  // rain comes in where a breather goes out, through a deck as through a side; one that ends under the floor has no such place
  expect(van).toContain("outSeal");
  expect(kinds).toContain("outSeal");
  const low = readDemo("kranich");
  const lines = low.lines.map((line) =>
    line.kind === "vent" ? { ...line, pointsMm: line.pointsMm.map((p) => ({ ...p, z: -60 })) } : line,
  );
  expect(listSuspects({ ...low, lines }, "wetFloor").suspects.map(({ kind }) => kind)).not.toContain("outSeal");
  expect(van).not.toContain("skinSeal");
});

test("chances add up to 1, a trial that shows nothing makes what it covers less likely", () => {
  const { suspects, trials } = makeChain(8);
  const before = updateChances(suspects, trials, []);
  const after = updateChances(suspects, trials, [{ trialId: "t3", showed: false }]);
  expect(after.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  const shareOf = (chances: typeof after, id: string) => chances.find(({ suspect }) => suspect.id === id)!.share;
  expect(shareOf(after, "s0")).toBeLessThan(shareOf(before, "s0"));
  expect(shareOf(after, "s7")).toBeGreaterThan(shareOf(before, "s7"));
  expect(countTrialsLeft(before)).toBe(3);
});

test("smell is looked for in hoses that hold waste, from the bowl to the sea, and not in the flush or the fresh water", () => {
  const design = readDemo("otter-heads");
  const { suspects } = listSuspects(design, "smell");
  const walls = new Set(suspects.flatMap(({ kind, at }) => (kind === "hoseWall" && at.kind === "line" ? [at.id] : [])));
  const bowl = design.gear.find(({ spec }) => spec.kind === "bowl")!;
  for (const line of design.lines) {
    if (line.kind !== "hose") continue;
    const isAt = (end: typeof line.from, port: string) =>
      end.kind === "gear" && end.gearId === bowl.id && end.port === port;
    if (isAt(line.from, "out") || isAt(line.to, "out")) expect(walls).toContain(line.id);
    if (isAt(line.from, "in") || isAt(line.to, "in")) expect(walls).not.toContain(line.id);
    const ends = [line.from, line.to].flatMap((end) => (end.kind === "tank" ? [end.tankId] : []));
    const holds = design.tanks.filter(({ id }) => ends.includes(id)).map((tank) => tank.holds);
    if (holds.includes("black")) expect(walls).toContain(line.id);
    if (holds.includes("fresh")) expect(walls).not.toContain(line.id);
  }
  expect(walls.size).toBeGreaterThan(3);
});
