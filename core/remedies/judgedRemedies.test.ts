import "../evaluate/fitted";
import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { USUAL_ENVELOPE } from "../design/rig";
import { listFitStopValve } from "../edits/stopValve";
import { evaluate } from "../evaluate/evaluate";
import type { FindingCode } from "../evaluate/findings";
import { placeGearPort } from "../gear/gearPorts";
import { proposeInDeck } from "./deckRemedies";
import { proposeHeel, proposeUsualEnvelope } from "./envelopeRemedies";
import { proposeRemedies } from "./proposeRemedies";
import type { ProvenRemedy } from "./remedy";

const LEVEL = { noseDownDeg: 0, noseUpDeg: 0, leftLowDeg: 0, rightLowDeg: 0 };
const kranich = readDemo("kranich");
const loop = readDemo("kranich-loop");
const boat = readDemo("setzkasten");

const remediesOf = (design: Design, code: FindingCode): readonly ProvenRemedy[] => {
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find((one) => one.code === code);
  if (!finding) throw new Error(`${code} is not found`);
  return proposeRemedies(design, evaluation, finding);
};
const isFound = (design: Design, code: FindingCode) => evaluate(design).findings.some((one) => one.code === code);
const withGear = (design: Design, kind: Gear["spec"]["kind"], change: (piece: Gear) => Gear): Design => ({
  ...design,
  gear: design.gear.map((piece) => (piece.spec.kind === kind ? change(piece) : piece)),
});
const withHose = (design: Design, id: string, change: (hose: Hose) => Hose): Design => ({
  ...design,
  lines: design.lines.map((line) => (line.id === id && line.kind === "hose" ? change(line) : line)),
});

test("a rig judged level only is judged as far as is usual, whatever that brings to light", () => {
  for (const name of ["kranich", "lesesaal-furnished"] as const) {
    const design = readDemo(name);
    const level = { ...design, rig: { ...design.rig, envelope: LEVEL, standings: [] } };
    const [remedy] = remediesOf(level, "parkedLevelOnly");
    const after = mustApply(level, remedy!.edit);
    expect(after.rig.envelope).toEqual(USUAL_ENVELOPE);
    // the furnished bus hides much on level ground, and is offered it all the same
    expect(remedy!.newFindings > 0).toBe(name === "lesesaal-furnished");
  }
});

test("a boat her tanks heel further than she is judged is judged so far on that side, and on no other", () => {
  const heeled: Design = {
    ...boat,
    rig: { ...boat.rig, envelope: LEVEL },
    tanks: boat.tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, y: tank.atMm.y + 150 } })),
  };
  const finding = evaluate(heeled).findings.find(({ code }) => code === "tanksHeel");
  const [remedy] = remediesOf(heeled, "tanksHeel");
  const { envelope } = mustApply(heeled, remedy!.edit).rig;
  const { heelDeg, side } = finding as unknown as { heelDeg: number; side: string };
  expect(side).toBe("left");
  expect(envelope.leftLowDeg).toBeGreaterThanOrEqual(heelDeg);
  expect(envelope.leftLowDeg).toBeLessThan(heelDeg + 0.5);
  expect(envelope).toMatchObject({ noseDownDeg: 0, noseUpDeg: 0, rightLowDeg: 0 });
});

test("to starboard the other side is asked, and further than a file takes nothing", () => {
  const [right] = proposeHeel(boat, "right", 3.2);
  expect(mustApply(boat, right!.edit).rig.envelope).toEqual({ ...boat.rig.envelope, rightLowDeg: 3.5 });
  expect(right!.edit).toMatchObject({ code: "setEnvelope", at: { kind: "rig" } });
  expect(proposeHeel(boat, "left", 20)).toHaveLength(1);
  expect(proposeHeel(boat, "left", 20.1)).toEqual([]);
  expect(proposeUsualEnvelope()[0]!.edit).toMatchObject({ code: "setEnvelope", at: { kind: "rig" } });
});

test("gear without a state gets one for each tap with its pump, and one in which nothing is on", () => {
  for (const design of [loop, boat]) {
    const bare = { ...design, states: [] };
    const [remedy] = remediesOf(bare, "noState");
    const { states } = mustApply(bare, remedy!.edit);
    expect(states[0]).toMatchObject({ on: [], openTaps: [] });
    const taps = design.gear.filter(({ spec }) => spec.kind === "tap").map(({ id }) => id);
    expect(states.flatMap(({ openTaps }) => openTaps).sort()).toEqual(taps.sort());
    const pumps = design.gear.filter(({ spec }) => spec.kind === "pump").map(({ id }) => id);
    for (const pump of pumps) expect(states.some(({ on }) => on.includes(pump))).toBe(true);
    expect(new Set(states.map(({ id }) => id)).size).toBe(states.length);
  }
});

test("a valve that is shut before a pump is opened in that state, and in no other", () => {
  const bus = readDemo("lesesaal-loop");
  const tank = bus.tanks.find(({ holds }) => holds === "loop")!;
  const from = bus.lines.find(
    (line) => line.kind === "hose" && line.from.kind === "tank" && line.from.tankId === tank.id,
  );
  const tender = withGear(bus, "pump", (piece) =>
    piece.spec.kind === "pump" ? { ...piece, spec: { ...piece.spec, mayRunDry: false } } : piece,
  );
  const [fit] = listFitStopValve(tender, from!.id, tank.id, "Stop");
  const fitted = mustApply(tender, fit!);
  const valve = fitted.gear.at(-1)!;
  const shut: Design = {
    ...fitted,
    states: fitted.states.map((state) => ({
      ...state,
      positions: state.positions.filter(({ gearId }) => gearId !== valve.id),
    })),
  };
  const [remedy] = remediesOf(shut, "pumpRunsDry");
  const after = mustApply(shut, remedy!.edit);
  const opened = after.states.filter(({ positions }) => positions.some((one) => one.gearId === valve.id));
  expect(opened).toHaveLength(1);
  expect(opened[0]!.positions).toContainEqual({ gearId: valve.id, at: "open" });
  expect(after.states.filter((state) => !opened.includes(state))).toEqual(
    shut.states.filter(({ id }) => id !== opened[0]!.id),
  );
});

test("a weak lamp is bought as much stronger as the dose lacks, and takes more current; one told to let nothing through has a usual figure", () => {
  const weak = withGear(loop, "uvLamp", (piece) =>
    piece.spec.kind === "uvLamp" ? { ...piece, spec: { ...piece.spec, uvcWatts: 0.5, watts: 2 } } : piece,
  );
  const [remedy] = remediesOf(weak, "uvWeak");
  const after = mustApply(weak, remedy!.edit);
  const lampOf = ({ gear }: Design) => {
    const spec = gear.find((piece) => piece.spec.kind === "uvLamp")!.spec;
    if (spec.kind !== "uvLamp") throw new Error("no lamp");
    return spec;
  };
  expect(isFound(after, "uvWeak")).toBe(false);
  // half a watt less would not do
  const less = withGear(after, "uvLamp", (piece) =>
    piece.spec.kind === "uvLamp" ? { ...piece, spec: { ...piece.spec, uvcWatts: piece.spec.uvcWatts - 0.5 } } : piece,
  );
  expect(isFound(less, "uvWeak")).toBe(true);
  expect(lampOf(after).watts / lampOf(after).uvcWatts).toBeGreaterThan(3.5);
  const blind = withGear(loop, "uvLamp", (piece) =>
    piece.spec.kind === "uvLamp" ? { ...piece, spec: { ...piece.spec, transmittance: 0 } } : piece,
  );
  const [clear] = remediesOf(blind, "uvBlind");
  expect(lampOf(mustApply(blind, clear!.edit)).transmittance).toBeNull();
});

test("a drain that lets go on the ground gets a canister under its end, where it hangs", () => {
  const atMm = { x: 2_000, y: 300, z: -250 };
  const open: Design = {
    ...kranich,
    lines: kranich.lines.map((line) => (line.kind === "drain" ? { ...line, to: { kind: "ground", atMm } } : line)),
  };
  const [remedy] = remediesOf(open, "endsOnGround");
  const after = mustApply(open, remedy!.edit);
  const can = after.habits.vessels.at(-1)!;
  expect(can.holds).toBe("grey");
  expect(after.lines.find(({ kind }) => kind === "drain")!.to).toEqual({ kind: "vessel", vesselId: can.id, atMm });
});

test("a deck fitting below deck is set in the deck over where it was; its hose goes with it", () => {
  const low = withGear(boat, "deckFitting", (piece) => ({ ...piece, atMm: { ...piece.atMm, z: -80 } }));
  const [remedy] = remediesOf(low, "deckFittingBelow");
  const after = mustApply(low, remedy!.edit);
  const was = low.gear.find(({ spec }) => spec.kind === "deckFitting")!;
  const now = after.gear.find(({ id }) => id === was.id)!;
  expect(placeGearPort(now, "out").z).toBeGreaterThan(500);
  expect([now.atMm.x, now.atMm.y]).toEqual([was.atMm.x, was.atMm.y]);
});

test("where the deck over it is lower than any roof it is set at the edge of her side, to port or to starboard", () => {
  for (const side of [-1, 1]) {
    // nothing is known of her sections, and she is as high as the lowest roof
    const open: Design = { ...boat, rig: { ...boat.rig, hull: null } };
    const low = withGear(open, "deckFitting", (piece) => ({ ...piece, atMm: { x: 2_000, y: side * 300, z: -80 } }));
    const fitting = low.gear.find(({ spec }) => spec.kind === "deckFitting")!;
    const at = { kind: "gear", id: fitting.id } as const;
    const places = proposeInDeck(low, at).map(({ edit }) =>
      placeGearPort(mustApply(low, edit).gear.find(({ id }) => id === fitting.id)!, "out"),
    );
    expect(places.map(({ z }) => z)).toEqual([900, 900]);
    expect(places[1]!.y).toBeCloseTo(side * (boat.rig.widthMm / 2 - 100), 6);
    const { hull } = boat.rig;
    const flat: Design = {
      ...low,
      rig: {
        ...boat.rig,
        hull: hull && {
          ...hull,
          sections: hull.sections.map((section) => ({
            ...section,
            pointsMm: section.pointsMm.filter(({ z }) => z < 500).concat([{ ...section.pointsMm.at(-1)!, z: 500 }]),
          })),
        },
      },
    };
    // half a metre up in the middle is still in the cabin
    const edges = proposeInDeck(flat, at);
    expect(edges).toHaveLength(1);
    const [edge] = edges.map(({ edit }) =>
      placeGearPort(mustApply(flat, edit).gear.find(({ id }) => id === fitting.id)!, "out"),
    );
    expect(edge!.z).toBeCloseTo(500, 6);
    expect(Math.sign(edge!.y)).toBe(side);
  }
  expect(proposeInDeck(boat, { kind: "gear", id: "gone" })).toEqual([]);
});

test("a hose that reaches through her skin is drawn in: no point further out than before, and none past her middle", () => {
  const out = withHose(boat, "h-deck", (hose) => ({
    ...hose,
    pointsMm: hose.pointsMm.map((p, i) => (i === 0 ? { ...p, y: p.y + Math.sign(p.y || 1) * 900 } : p)),
  }));
  const [remedy] = remediesOf(out, "lineOffHull");
  const after = mustApply(out, remedy!.edit);
  expect(isFound(after, "lineOffHull")).toBe(false);
  const pointsOf = ({ lines }: Design) => (lines.find(({ id }) => id === "h-deck") as Hose).pointsMm;
  pointsOf(out).forEach(({ y }, i) => {
    const now = pointsOf(after)[i]!.y;
    expect(Math.abs(now)).toBeLessThanOrEqual(Math.abs(y));
    expect(now * y).toBeGreaterThanOrEqual(0);
  });
});

test("a bend that kinks is left out or drawn aside; what only kinks elsewhere on the hose then is no remedy", () => {
  const last = (hose: Hose) => hose.pointsMm.at(-1)!;
  const kinked = withHose(boat, "h-flush", (hose) => ({
    ...hose,
    pointsMm: [
      ...hose.pointsMm,
      { ...last(hose), id: "k1", x: last(hose).x + 25 },
      { ...last(hose), id: "k2", x: last(hose).x + 25, z: last(hose).z + 40 },
    ],
  }));
  const remedies = remediesOf(kinked, "hoseKinks");
  expect(remedies.length).toBeGreaterThan(0);
  for (const { edit } of remedies) expect(isFound(mustApply(kinked, edit), "hoseKinks")).toBe(false);
  const straight = remedies.find(({ edit }) => edit.code === "straighten")!;
  const taken = straight.edit.ops.map(({ path }: EditOp) => path.at(-1) as number);
  expect(taken).toEqual([...taken].sort((a, b) => b - a));
});
