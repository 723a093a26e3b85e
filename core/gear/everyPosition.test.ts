import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { loopSystems } from "@/tests/loopSystems";
import type { Design } from "../design/design";
import type { WorkingState } from "../design/gear";
import { proveEveryPosition } from "./everyPosition";
import { MOST_TURNS } from "./everyPump";
import { buildGearGraph } from "./gearGraph";
import { listEveryHazard } from "./interlock";
import { findPassing, toSetting } from "./settings";
import { takeTurns } from "./turns";

// Every position of every valve, three-way valve and pump, one after the other; taps stand as in the state.
function listPositions({ gear, states }: Design): { readonly state: WorkingState; readonly turned: number }[] {
  const [own] = states as [WorkingState];
  const movers = gear.filter(({ spec }) => ["valve", "diverter", "pump"].includes(spec.kind));
  const stands = toSetting(own);
  return Array.from({ length: 2 ** movers.length }, (_, bits) => {
    const on: string[] = [];
    const positions: WorkingState["positions"][number][] = [];
    let turned = 0;
    movers.forEach((piece, i) => {
      const isSet = (bits >> i) % 2 === 1;
      if (piece.spec.kind === "pump") {
        if (isSet) on.push(piece.id);
        if (isSet !== stands.isOn(piece.id)) turned += 1;
        return;
      }
      const at = piece.spec.kind === "valve" ? (isSet ? "open" : "shut") : isSet ? "a" : "b";
      positions.push({ gearId: piece.id, at });
      if (at !== stands.positionOf(piece)) turned += 1;
    });
    return { state: { ...own, id: `p${bits}`, on, positions }, turned };
  });
}

test("the fewest wrong turns are those of trying every position, alone and with every single failure", () => {
  fc.assert(
    fc.property(
      loopSystems.filter(({ gear }) => gear.filter(({ spec }) => spec.kind === "valve").length <= 4),
      fc.constantFrom("asDrawn" as const, "atRest" as const),
      (drawn, stand) => {
        const design =
          stand === "asDrawn" ? drawn : { ...drawn, states: [{ ...drawn.states[0]!, on: [], positions: [] }] };
        const positions = listPositions(design);
        const hazards = listEveryHazard({ ...design, states: positions.map(({ state }) => state) });
        const turnedOf = new Map(positions.map(({ state, turned }) => [state.id, turned]));
        const alone = new Map<string, number>();
        const failed = new Map<string, number>();
        for (const { kind, from, to, stateId, failure } of hazards) {
          if (kind !== "fouls") continue;
          const key = [from, to].join("|");
          const map = failure === null ? alone : failed;
          map.set(key, Math.min(map.get(key) ?? 99, turnedOf.get(stateId)!));
        }
        const expected = new Map<string, { turns: number; isFailed: boolean }>();
        for (const key of new Set([...alone.keys(), ...failed.keys()])) {
          const [one, other] = [alone.get(key) ?? 99, failed.get(key) ?? 99];
          // with a failure only where that spares more than one turn
          const isFailed = other < one - 1;
          expected.set(key, { turns: isFailed ? other : one, isFailed });
        }
        const found = new Map(
          proveEveryPosition(design)!.ways.map(({ from, to, turns, failure }) => [
            [from, to].join("|"),
            { turns: turns.length, isFailed: failure !== null },
          ]),
        );
        expect(Object.fromEntries(found)).toEqual(Object.fromEntries(expected));
      },
    ),
    { numRuns: 25 },
  );
}, 60_000);

test("what is found happens: turned so and failed so, the way is open link by link", () => {
  for (const name of ["kranich-loop", "lesesaal-loop", "otter-heads"] as const) {
    const design = readDemo(name);
    const graph = buildGearGraph(design);
    for (const { stateId, turns, failure, way, from, storedIn } of proveEveryPosition(design)!.ways) {
      const state = design.states.find(({ id }) => id === stateId)!;
      const turned = takeTurns(design.gear, state, turns);
      const setting = toSetting(turned, failure);
      let node = storedIn === null ? from : `${storedIn}:in`;
      for (const id of way) {
        const link = graph.links.find((one) => one.id === id && (one.from === node || one.to === node))!;
        const passing = findPassing(link, setting);
        expect([id, link.from === node ? passing.forward : passing.back]).toEqual([id, true]);
        node = link.from === node ? link.to : link.from;
      }
    }
  }
});

test("a loop filled through an air gap cannot be fouled by any hand; one parted by a valve can, by one turn", () => {
  const gapped = proveEveryPosition(readDemo("lesesaal-loop"))!;
  expect(gapped.ways.filter(({ water }) => water === "loop")).toEqual([]);
  expect(gapped.positions).toBeGreaterThanOrEqual(16);
  const parted = proveEveryPosition(readDemo("kranich-loop"))!;
  expect(parted.ways[0]).toMatchObject({ water: "loop", failure: null });
  expect(parted.ways[0]!.turns.length).toBeLessThanOrEqual(2);
});

test("it stops when told to, and tells how far it is", () => {
  const shares: number[] = [];
  const design = readDemo("kranich-loop");
  expect(proveEveryPosition(design, (share) => shares.push(share) < 2)).toBeNull();
  expect(shares).toHaveLength(2);
  proveEveryPosition(design, (share) => shares.push(share) > 0);
  expect(shares.at(-1)).toBe(1);
});

test("pumps run dry or against a shut line by no fewer turns than trying every position tells", () => {
  fc.assert(
    fc.property(
      loopSystems.filter(({ gear }) => gear.filter(({ spec }) => spec.kind === "valve").length <= 4),
      (design) => {
        const fewest = new Map<string, number>();
        const positions = listPositions(design);
        const turnedOf = new Map(positions.map(({ state, turned }) => [state.id, turned]));
        // taps stand as in the state here, so that more turns may be asked
        for (const { kind, gearId, stateId, failure } of listEveryHazard({
          ...design,
          states: positions.map((p) => p.state),
        })) {
          if (failure !== null || (kind !== "runsDry" && kind !== "deadHead")) continue;
          const key = [kind, gearId].join("|");
          fewest.set(key, Math.min(fewest.get(key) ?? 99, turnedOf.get(stateId)!));
        }
        for (const { kind, gearId, turns, stateId } of proveEveryPosition(design)!.pumps) {
          const state = design.states.find(({ id }) => id === stateId)!;
          const turned = takeTurns(design.gear, state, turns);
          const there = listEveryHazard({ ...design, states: [turned] });
          expect(there.some((one) => one.failure === null && one.kind === kind && one.gearId === gearId)).toBe(true);
          expect(turns.length).toBeLessThanOrEqual(fewest.get([kind, gearId].join("|")) ?? 99);
        }
        const found = new Set(proveEveryPosition(design)!.pumps.map(({ kind, gearId }) => [kind, gearId].join("|")));
        for (const [key, turns] of fewest) if (turns <= MOST_TURNS) expect([key, found.has(key)]).toEqual([key, true]);
      },
    ),
    { numRuns: 25 },
  );
}, 60_000);
