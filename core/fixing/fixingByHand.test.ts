import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import { GRAVITY } from "../air/dumping";
import { FIXING_KINDS, type Fixing, type Tank } from "../design/plumbing";
import { computeFullKg } from "../tanks/shell";
import { findFace } from "../templates/tankFaces";
import { listAssembly, listPortsBefore } from "./assembly";
import { type BoltPlace, computeBoltGroup } from "./boltGroup";
import { listBoltPlaces } from "./boltPlaces";
import { computeBolt, computeFixing, computeHeldUse, computeUtilisation, listLoadCases, slidesOut } from "./fixing";

const tank = readDemo("kranich").tanks[0]!;
const { solid } = tank;
if (solid.shape !== "box") throw new Error("the sample's tank is a box");
const box = { x: solid.lengthMm, y: solid.widthMm, z: solid.heightMm };
const weightKN = (computeFullKg(tank) * GRAVITY) / 1000;
const NO_LOAD = { pushXKN: 0, pushYKN: 0, pullKN: 0, at: { x: 0, y: 0 }, leverMm: 0 };
const spread = fc.integer({ min: 20, max: 900 });
const askew = fc.double({ min: 0, max: Math.PI, noNaN: true });

// By hand: bolts at s along a line bear pull / n + M s / Σ s², and nothing that turns about the line.
test("bolts in one line bear what turns along it, as worked by hand, and nothing across it, however the line lies", () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: -900, max: 900 }), { minLength: 2, maxLength: 6 }),
      fc.oneof(askew, fc.constantFrom(0, Math.PI / 2)),
      spread,
      (along, angle, offMm) => {
        const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
        const places = along.map((s): BoltPlace => ({ x: 500 + s * ux, y: -200 + s * uy }));
        const middle = along.reduce((sum, s) => sum + s, 0) / along.length;
        const own = along.map((s) => s - middle);
        const squares = own.reduce((sum, s) => sum + s * s, 0);
        // so heavy a pull that no bolt is pressed
        const pullKN = 1e6;
        const at = { x: 500 + (middle + offMm) * ux, y: -200 + (middle + offMm) * uy };
        const { bolts } = computeBoltGroup(places, { ...NO_LOAD, pullKN, at });
        own.forEach((s, i) => {
          const byHand = Math.max(0, pullKN / own.length + (pullKN * offMm * s) / squares);
          expect(bolts![i]!.tensionKN / pullKN).toBeCloseTo(byHand / pullKN, 6);
        });
        const beside = { x: at.x - offMm * uy, y: at.y + offMm * ux };
        expect(computeBoltGroup(places, { ...NO_LOAD, pullKN, at: beside }).bolts).toBeNull();
      },
    ),
  );
});

test("bolts at one place share a straight pull, and bear neither tilt nor twist", () => {
  const places = Array.from({ length: 3 }, () => ({ x: 100, y: 50 }));
  const straight = { ...NO_LOAD, pullKN: 6, pushXKN: 3, at: { x: 100, y: 50 } };
  expect(computeBoltGroup(places, straight).bolts).toEqual(
    places.map(() => ({ tensionKN: expect.closeTo(2, 9), shearKN: expect.closeTo(1, 9) })),
  );
  expect(computeBoltGroup(places, { ...straight, leverMm: 100 }).bolts).toBeNull();
  expect(computeBoltGroup(places, { ...straight, pullKN: 0, at: { x: 100, y: 90 } }).bolts).toBeNull();
});

test("without places of their own bolts stand in two even rows beyond the ends, the odd one in front", () => {
  const offset: Pick<Tank, "solid"> = {
    solid: {
      shape: "prism",
      axis: "x",
      lengthMm: 800,
      profileMm: [
        { u: 160, v: 0 },
        { u: 460, v: 0 },
        { u: 460, v: 200 },
        { u: 160, v: 200 },
      ],
    },
  };
  for (const bolts of [4, 5, 7, 12]) {
    const places = listBoltPlaces(offset, { bolts, placesMm: null });
    expect(places).toHaveLength(bolts);
    const [rear, front] = [-25, 825].map((x) => places.filter((place) => place.x === x).map(({ y }) => y));
    expect([rear!.length, front!.length]).toEqual([Math.floor(bolts / 2), Math.ceil(bolts / 2)]);
    for (const row of [rear!, front!]) {
      expect([Math.min(...row), Math.max(...row)]).toEqual([160, 460]);
      row.forEach((y, i) => {
        expect(y).toBeCloseTo(160 + (300 * i) / (row.length - 1), 9);
      });
    }
  }
  expect(listBoltPlaces(offset, { bolts: 3, placesMm: null }).filter(({ x }) => x === -25)).toEqual([
    { x: -25, y: 310 },
  ]);
  const own = [{ x: 1, y: 2 }];
  expect(listBoltPlaces(offset, { bolts: 4, placesMm: own })).toEqual(own);
});

const square: Fixing["placesMm"] = [
  { x: 0, y: 0 },
  { x: box.x, y: 0 },
  { x: 0, y: box.y },
  { x: box.x, y: box.y },
];
const held: Fixing = { ...SAMPLE_FIXING, kind: "brackets", placesMm: square };
const VAN = { kind: "van", crashClass: "m1n1" } as const;
const caseOf = (fixing: Fixing, id: string) => computeFixing(tank, fixing, VAN)!.find(({ load }) => load.id === id)!;

// By hand, four bolts at the corners: each hangs a quarter of the weight; a push P at half the height turns by P h / 2, which
// the two at one end bear, half each, over the length.
test("braking, a bend, a track and a crash pull and shear the bolts as worked by hand", () => {
  expect(listLoadCases(VAN).map(({ id }) => id)).toEqual([
    "braking",
    "cornering",
    "road",
    "track",
    "crashForward",
    "crashSideways",
  ]);
  const pull = (down: number, forward: number, sideways: number) =>
    (weightKN * down) / 4 + (weightKN * box.z * (forward / box.x + sideways / box.y)) / 4;
  const shear = (forward: number, sideways: number) => (weightKN * Math.hypot(forward, sideways)) / 4;
  for (const [id, down, forward, sideways] of [
    ["braking", 1, 0.8, 0],
    ["cornering", 1, 0, 0.5],
    ["road", 1, 0.8, 0.5],
    ["track", 3, 0, 0],
    ["crashForward", 1, 20, 0],
    ["crashSideways", 1, 0, 8],
  ] as const) {
    const result = caseOf(held, id);
    expect(result.tensionKN).toBeCloseTo(pull(down, forward, sideways), 9);
    expect(result.shearKN).toBeCloseTo(shear(forward, sideways), 9);
    expect(result.utilisation).toBeCloseTo(computeUtilisation(computeBolt("M8"), result.shearKN, result.tensionKN), 9);
    expect(result.uses[result.boltIndex]).toBe(Math.max(...result.uses));
    // what stands on a floor does not hang
    expect(caseOf({ ...held, kind: "onFloor" }, id).tensionKN).toBeCloseTo(pull(0, forward, sideways), 9);
  }
});

// By hand as above; what stands on the sole presses on it, and pulls only when the boat lies upside down.
test("a boat runs aground, rolls, slams, lies on her side and upside down, whatever crash is asked for", () => {
  const BOAT = { kind: "boat", crashClass: "none" } as const;
  expect(computeFixing(tank, held, { kind: "boat", crashClass: "m1n1" })).toEqual(computeFixing(tank, held, BOAT));
  const cases = (kind: Fixing["kind"]) => computeFixing(tank, { ...held, kind }, BOAT)!;
  const GIVEN = [
    ["aground", 1, 1, 0],
    ["seaway", 2, 0.4, 0.7],
    ["slam", 3, 0, 0],
    ["knockedDown", 0, 0, 1],
    ["turnedOver", -1, 0, 0],
  ] as const;
  expect(cases("brackets").map(({ load }) => load.id)).toEqual(GIVEN.map(([id]) => id));
  GIVEN.forEach(([, down, forward, sideways], i) => {
    const turning = (weightKN * box.z * (forward / box.x + sideways / box.y)) / 4;
    const [hung, stood] = [cases("brackets")[i]!, cases("onFloor")[i]!];
    expect(hung.tensionKN).toBeCloseTo((weightKN * Math.abs(down)) / 4 + turning, 9);
    expect(stood.tensionKN).toBeCloseTo((weightKN * (down < 0 ? -down : 0)) / 4 + turning, 9);
    expect(stood.shearKN).toBeCloseTo((weightKN * Math.hypot(forward, sideways)) / 4, 9);
  });
  // friction on what it weighs does not hold a strapped tank when she runs aground
  expect(slidesOut({ ...held, kind: "straps" }, BOAT)).toBe(true);
  expect(slidesOut({ ...held, kind: "straps", hasEndStop: true }, BOAT)).toBe(false);
});

test("a pattern that is uneven is as strong turned end for end and side for side: pushes come from everywhere", () => {
  const place = fc.record({ x: fc.integer({ min: -100, max: 900 }), y: fc.integer({ min: -100, max: 700 }) });
  fc.assert(
    fc.property(fc.array(place, { minLength: 3, maxLength: 7 }), (placesMm) => {
      const turned = placesMm.map(({ x, y }) => ({ x: box.x - x, y: box.y - y }));
      const uses = (places: readonly BoltPlace[]) =>
        computeFixing(tank, { ...held, placesMm: [...places] }, VAN)?.map(({ utilisation }) => utilisation) ?? null;
      const [a, b] = [uses(placesMm), uses(turned)];
      expect(b === null).toBe(a === null);
      a?.forEach((use, i) => {
        expect(b![i]! / use).toBeCloseTo(1, 6);
      });
    }),
  );
});

test("a strap hangs on two bolts; the part that uses most of itself is the weakest, and unrated means unknown", () => {
  const track = 3 * (weightKN / 4);
  const strap = caseOf(
    { ...held, kind: "straps", strapKN: 0.5, heldKN: 1_000, heldShearKN: 1_000, heldFactor: 1.5 },
    "track",
  );
  expect(strap.utilisation).toBeCloseTo((2 * track * 1.5) / 0.5, 9);
  expect(strap.weakest).toBe("strap");
  const nut = caseOf({ ...held, strapKN: null, heldKN: 0.2, heldShearKN: 0.4, heldFactor: 2 }, "track");
  expect(nut.utilisation).toBeCloseTo((track * 2) / 0.2, 9);
  expect(nut).toMatchObject({ weakest: "held", ofHeld: nut.utilisation });
  expect(caseOf({ ...held, heldKN: 1_000, heldShearKN: 1_000 }, "track").weakest).toBe("bolt");
  expect(caseOf(held, "track")).toMatchObject({ weakest: null, ofHeld: null });
  // a strap counts on straps only
  expect(caseOf({ ...held, strapKN: 0.01 }, "track").utilisation).toBeCloseTo(caseOf(held, "track").utilisation, 12);
});

test("what a bolt sits in bears shear and pull one after the other; what does not pull needs no rating for it", () => {
  const fixing = { heldKN: 8, heldShearKN: 4, heldFactor: 2 };
  expect(computeHeldUse(fixing, 1, 2)).toBeCloseTo(0.5 + 0.5, 12);
  expect(computeHeldUse({ ...fixing, heldShearKN: null }, 1, 2)).toBeNull();
  expect(computeHeldUse({ ...fixing, heldKN: null }, 1, 2)).toBeNull();
  expect(computeHeldUse({ ...fixing, heldKN: null }, 1, 0)).toBeCloseTo(0.5, 12);
  expect(computeHeldUse({ ...fixing, heldShearKN: null }, 0, 2)).toBeCloseTo(0.5, 12);
});

test("ports in a top no hand gets over are fitted before it goes up, all others after; nothing is left out or done twice", () => {
  for (const design of ALL_DEMOS) {
    for (const one of design.tanks) {
      for (const roomMm of [0, 89, 90, 400]) {
        const steps = listAssembly(one, roomMm);
        const all = one.ports.map(({ id }) => id);
        const tops = one.ports.filter((port) => findFace(one.solid, port).face === "top").map(({ id }) => id);
        const before = listPortsBefore(one, roomMm);
        expect(before).toEqual(roomMm < 90 ? tops : []);
        const portsOf = (kind: "drillPorts" | "fitBefore" | "fitAfter") =>
          steps.flatMap((step) => (step.kind === kind ? step.ports : []));
        expect(portsOf("drillPorts")).toEqual(all);
        expect(portsOf("fitBefore")).toEqual(before);
        expect(portsOf("fitAfter")).toEqual(all.filter((id) => !before.includes(id)));
        const at = (kind: string) => steps.findIndex((step) => step.kind === kind);
        const order = ["dryFit", "drillPorts", "fitBefore", "leakTrial", "foam", "hang", "tighten", "fitAfter", "look"];
        expect(steps.map(({ kind }) => order.indexOf(kind))).toEqual(
          steps.map(({ kind }) => order.indexOf(kind)).sort((a, b) => a - b),
        );
        for (const [kind, has] of [
          ["dryFit", true],
          ["drillPorts", true],
          ["fitBefore", before.length > 0],
          ["leakTrial", true],
          ["hang", true],
          ["tighten", true],
          ["fitAfter", all.length > before.length],
          ["look", true],
        ] as const)
          expect(at(kind) >= 0).toBe(has);
        expect(steps.find((step) => step.kind === "hang")).toEqual({ kind: "hang", isInside: one.atMm.z >= 0 });
      }
    }
  }
  for (const kind of FIXING_KINDS)
    expect(listAssembly({ ...tank, fixing: { ...SAMPLE_FIXING, kind } }, 0).some((step) => step.kind === "foam")).toBe(
      kind !== "brackets",
    );
  expect(listAssembly({ ...tank, fixing: null, ports: [] }, 0).map(({ kind }) => kind)).toEqual([
    "dryFit",
    "drillPorts",
    "leakTrial",
    "hang",
    "tighten",
    "look",
  ]);
});
