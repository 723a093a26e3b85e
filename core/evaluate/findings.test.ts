import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { addItem, changeTrap } from "@/tests/findingEdges";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import { buildPutItems } from "../design/lineItems";
import type { ObstacleKind } from "../design/rig";
import { stripPlumbing } from "../design/stripPlumbing";
import type { Vec3 } from "../geometry/vec";
import { evaluate } from "./evaluate";
import type { Finding } from "./findings";

const kranich = readDemo("kranich");
const drain = kranich.lines.find((line) => line.kind === "drain")!;
const vent = kranich.lines.find((line) => line.kind === "vent")!;
const tank = kranich.tanks[0]!;
const port = (kind: string) => tank.ports.find((p) => p.kind === kind)!.id;
const set = (path: (string | number)[], value: unknown): EditOp => ({ op: "set", path, value });

function change(design: Design, ops: readonly EditOp[]): Design {
  const outcome = applyEdit(design, { code: "change", at: { kind: "rig" }, ops });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

const find = (design: Design, code: Finding["code"]): Finding | undefined =>
  evaluate(design, LEVEL).findings.find((f) => f.code === code);

const lastBend = drain.kind === "drain" ? drain.bendsMm.length - 1 : 0;
const bend = drain.kind === "drain" ? drain.bendsMm[lastBend]! : null;
const inletZ = tank.atMm.z + tank.ports.find((p) => p.kind === "inlet")!.atMm.z;

const ventEnd = vent.kind === "vent" ? vent.pointsMm.at(-1)! : tank.atMm;
const block = { id: "block", name: "Block", lengthMm: 100, widthMm: 100, heightMm: 100 };
const insertTank = (value: Design["tanks"][number]): EditOp => ({ op: "insert", path: ["tanks"], index: 1, value });
const insertAt = (at: Vec3, kind: ObstacleKind): EditOp => ({
  op: "insert",
  path: ["obstacles"],
  index: 0,
  value: { ...block, kind, atMm: { x: at.x + 200, y: at.y - 50, z: at.z } },
});

// Kranich has nothing against it; each change breaks one thing, and the finding about it names the part.
test.each<[Finding["code"], Finding["severity"], readonly EditOp[]]>([
  ["fixtureUndrained", "must", [{ op: "remove", path: ["lines", drain.id] }]],
  ["legBackwards", "must", [set(["lines", drain.id, "bendsMm", lastBend, "z"], inletZ - 5)]],
  ["legBackwardsParked", "must", [set(["lines", drain.id, "bendsMm", lastBend, "z"], inletZ + 9)]],
  ["legBelowMinFall", "should", [set(["rules", "limits", "minFall"], 150)]],
  ["legTooSteep", "note", [set(["rules", "pack"], "england")]],
  ["trapMissing", "must", [buildPutItems(drain, { trap: null })]],
  ["sealShallow", "should", [changeTrap(drain, { sealMm: 30 })]],
  ["sealSlops", "should", [changeTrap(drain, { sealMm: 45, spanMm: 84 })]],
  ["sealDeep", "note", [changeTrap(drain, { sealMm: 120 })]],
  ["trapArmLong", "should", [set(["rules", "limits", "trapArm"], 50)]],
  ["drainSlow", "should", [set(["fixtures", "sink", "inflowLps"], 3)]],
  ["belowCleanVelocity", "note", [set(["fixtures", "sink", "inflowLps"], 0.002)]],
  ["passageSlants", "should", [set(["lines", drain.id, "bendsMm", lastBend, "x"], bend!.x - 600)]],
  ["narrowsDownstream", "should", [set(["tanks", tank.id, "ports", port("inlet"), "boreMm"], 25)]],
  ["tankUnvented", "must", [{ op: "remove", path: ["lines", vent.id] }]],
  ["ventEndsLow", "should", [set(["lines", vent.id, "pointsMm"], [{ x: 1500, y: 800, z: -250 }])]],
  [
    "ventDips",
    "should",
    [
      set(
        ["lines", vent.id, "pointsMm"],
        [
          { x: 1500, y: 600, z: -80 },
          { x: 1500, y: 700, z: -200 },
          { x: 1500, y: 800, z: 900 },
        ],
      ),
    ],
  ],
  ["ventThrottles", "must", [set(["lines", vent.id, "pipe", "innerMm"], 8)]],
  ["ventThrottles", "should", [set(["rules", "limits", "ventSuction"], 20)]],
  ["tankNoOutlet", "must", [{ op: "remove", path: ["tanks", tank.id, "ports", port("outlet")] }]],
  ["inletDrownsEarly", "should", [set(["tanks", tank.id, "ports", port("inlet"), "atMm", "z"], 20)]],
  ["tankBelowSill", "should", [set(["rig", "sillZMm"], -200)]],
  ["tankHitsObstacle", "must", [set(["obstacles", "fuel", "atMm"], tank.atMm)]],
  ["holeSmall", "must", [addItem(drain, { kind: "hole", node: "n1", nth: 0, diameterMm: 36 })]],
  ["holeNearEdge", "should", [set(["obstacles", 0, "atMm"], { x: bend!.x - 40, y: bend!.y + 10, z: -100 })]],
  [
    "senderBeside",
    "must",
    [set(["tanks", tank.id, "sender"], { kind: "pads", xMm: -30, yMm: 100, lowMm: 10, highMm: 100 })],
  ],
  [
    "senderLong",
    "should",
    [set(["tanks", tank.id, "sender"], { kind: "float", xMm: 100, yMm: 100, lowMm: 10, highMm: 400 })],
  ],
  [
    "fixingScrewed",
    "should",
    [
      set(["tanks", tank.id, "fixing"], {
        ...SAMPLE_FIXING,
        kind: "tray",
        fastener: "selfTapping",
        bolts: 12,
        size: "M8",
        heldKN: 20,
        heldShearKN: 20,
        hasEndStop: true,
      }),
    ],
  ],
  ["portsOverlap", "must", [set(["tanks", tank.id, "ports", 2, "atMm"], { x: 800, y: 290, z: 150 })]],
  ["portOffWall", "must", [set(["tanks", tank.id, "ports", 0, "atMm"], { x: 800, y: 300, z: 160 })]],
  [
    "senderUndrawn",
    "note",
    [set(["tanks", tank.id, "sender"], { kind: "float", xMm: 400, yMm: 225, lowMm: 20, highMm: 150 })],
  ],
  ["valveNarrow", "note", [set(["tanks", tank.id, "ports", 2, "valve"], { kind: "manual", boreMm: 25 })]],
  ["portCrowded", "must", [{ op: "insert", path: ["lines"], index: 1, value: { ...drain, id: "twin", name: "Twin" } }]],
  ["fittingHitsObstacle", "must", [set(["tanks", tank.id, "ports", 2, "fittingMm"], 300)]],
  [
    "linkApart",
    "must",
    [
      insertTank({ ...tank, id: "low", name: "Low tank", atMm: { ...tank.atMm, z: tank.atMm.z - 190 } }),
      set(["tanks", tank.id, "link"], { kind: "communicating", toTank: "low" }),
    ],
  ],
  [
    "fixingWeak",
    "must",
    [
      set(["tanks", tank.id, "fixing"], {
        ...SAMPLE_FIXING,
        kind: "brackets",
        fastener: "rivetNut",
        bolts: 4,
        size: "M6",
        heldKN: 1,
        heldShearKN: 1,
        hasEndStop: true,
      }),
    ],
  ],
  [
    "fixingUnrated",
    "should",
    [
      set(["tanks", tank.id, "fixing"], {
        ...SAMPLE_FIXING,
        kind: "straps",
        fastener: "rivetNut",
        bolts: 8,
        size: "M10",
        heldKN: null,
        heldShearKN: null,
        hasEndStop: true,
      }),
    ],
  ],
  ["fixingMissing", "should", [set(["tanks", tank.id, "fixing"], null)]],
  ["fixingTips", "must", [set(["tanks", tank.id, "fixing"], { ...SAMPLE_FIXING, bolts: 1 })]],
  ["fixingSlides", "should", [set(["tanks", tank.id, "fixing"], SAMPLE_FIXING)]],
  ["fixingNoPlate", "should", [set(["tanks", tank.id, "fixing"], { ...SAMPLE_FIXING, kind: "brackets" })]],
  ["toiletNotBlack", "must", [set(["fixtures", "sink", "kind"], "gravityToilet")]],
  ["toiletNarrow", "must", [set(["fixtures", "sink", "kind"], "gravityToilet")]],
  ["axleOverloaded", "must", [set(["rig", "axles", 0, "spareKg"], 20)]],
  [
    "obstaclesOverlap",
    "note",
    [set(["obstacles", "cross-rear", "atMm"], kranich.obstacles.find(({ id }) => id === "fuel")!.atMm)],
  ],
  ["flapInDrain", "note", [addItem(drain, { kind: "inline", node: "n2", piece: "nonReturn" })]],
  ["trapsInSeries", "should", [addItem(drain, { kind: "runningTrap", node: "n1", sealMm: 50, hasCleanout: true })]],
  ["trapUnreachable", "should", [addItem(drain, { kind: "runningTrap", node: "n2", sealMm: 50, hasCleanout: false })]],
  ["trapFreezes", "note", [addItem(drain, { kind: "runningTrap", node: "n2", sealMm: 50, hasCleanout: true })]],
  [
    "narrowsDownstream",
    "should",
    [
      addItem(drain, {
        kind: "pipeChange",
        node: "n2",
        joint: "hoseBarb",
        pipe: { innerMm: 25, outerMm: 32, manningN: 0.009 },
      }),
    ],
  ],
  ["ventEndNear", "should", [insertAt(ventEnd, "window")]],
  ["ventEndNear", "should", [insertAt(ventEnd, "exhaust")]],
  ["touchesRamp", "should", [set(["rules", "limits", "breakover"], 60)]],
  [
    "touchesRamp",
    "should",
    [set(["rig", "axles"], [{ name: "Axle", xMm: 0, spareKg: null }]), set(["rules", "limits", "rampEnd"], 60)],
  ],
  ["fixtureOutside", "must", [set(["fixtures", "sink", "outletMm", "y"], 4000)]],
  ["fixtureOutside", "must", [set(["fixtures", "sink", "outletMm", "z"], 2600)]],
  ["useOverfillsTank", "must", [set(["fixtures", "sink", "volumePerUseL"], 200)]],
  ["legBarely", "should", [set(["rules", "limits", "layTolerance"], 90)]],
  [
    "trapInFloor",
    "should",
    [set(["fixtures", "sink", "outletMm", "z"], 120), set(["lines", drain.id, "bendsMm", 0, "z"], 20)],
  ],
  [
    "ventInRoom",
    "should",
    [
      set(
        ["lines", vent.id, "pointsMm"],
        [
          { x: 1500, y: 0, z: 200 },
          { x: 1500, y: 0, z: 1500 },
        ],
      ),
    ],
  ],
  ["noFixtureYet", "note", [set(["lines"], []), set(["habits"], stripPlumbing(kranich).habits), set(["fixtures"], [])]],
  ["noTankYet", "note", [set(["lines"], []), set(["tanks"], [])]],
  ["wasteEndsStay", "note", [set(["habits", "vessels", "fresh-water", "litres"], 900)]],
  ["useBeyondFresh", "should", [set(["habits", "ways", "wild", "uses", "drinking", "takesL"], 299)]],
  ["nothingUsed", "should", [set(["habits", "ways", "wild", "uses"], [])]],
  [
    "senderReversed",
    "must",
    [set(["tanks", tank.id, "sender"], { kind: "float", xMm: 100, yMm: 100, lowMm: 100, highMm: 100 })],
  ],
  ["ontoGround", "note", [set(["habits", "ways", "wild", "uses", "shower", "fixtureId"], null)]],
])("%s, a %s", (code, severity, ops) => {
  expect(find(kranich, code)).toBeUndefined();
  const broken = change(kranich, ops);
  const finding = find(broken, code);
  expect(finding).toMatchObject({ code, severity });
  expect(finding!.id.startsWith(`${code}@`)).toBe(true);
  for (const { at } of evaluate(broken, LEVEL).findings) expect([at, isThere(broken, at)]).toEqual([at, true]);
});

/** Whether what a finding names is a part of the design. */
function isThere(design: Design, at: Finding["at"]): boolean {
  const has = (list: readonly { readonly id: string }[], id: string) => list.some((one) => one.id === id);
  const points = (lineId: string) => {
    const line = design.lines.find(({ id }) => id === lineId);
    return line ? (line.kind === "drain" ? line.bendsMm : line.pointsMm).length : -1;
  };
  switch (at.kind) {
    case "rig":
    case "habits":
      return true;
    case "fixture":
      return has(design.fixtures, at.id);
    case "tank":
      return has(design.tanks, at.id);
    case "obstacle":
      return has(design.obstacles, at.id);
    case "gear":
      return has(design.gear, at.id);
    case "line":
      return has(design.lines, at.id);
    case "trap":
    case "end":
      return has(design.lines, at.lineId);
    case "port":
      return has(design.tanks.find(({ id }) => id === at.tankId)?.ports ?? [], at.id);
    case "bend":
      return at.index >= 0 && at.index < points(at.lineId);
    case "leg":
      return at.index >= 0 && at.index <= points(at.lineId);
    case "store":
      return at.id.length > 0;
    default:
      return false;
  }
}

test("what is found on any sample names a part that is there", () => {
  for (const design of ALL_DEMOS)
    for (const { at } of evaluate(design, LEVEL).findings) expect([at, isThere(design, at)]).toEqual([at, true]);
});

test("a push that tilts the water by the whole seal breaks through, and nothing of it is counted on", () => {
  const wide = change(kranich, [changeTrap(drain, { sealMm: 60, spanMm: 120 })]);
  expect(find(wide, "sealSlops")).toMatchObject({ severity: "should", breaks: true, leftMm: 0 });
  const narrow = change(kranich, [changeTrap(drain, { sealMm: 60, spanMm: 118 })]);
  expect(find(narrow, "sealSlops")).toBeUndefined();
});

test("a toilet on a long run is told to stand over its tank", () => {
  const toilet = change(readDemo("lesesaal"), [
    set(["fixtures", "sink", "kind"], "gravityToilet"),
    set(["tanks", 0, "holds"], "black"),
  ]);
  expect(find(toilet, "toiletLongRun")).toMatchObject({ severity: "should" });
  expect(find(toilet, "toiletNotBlack")).toBeUndefined();
});

test("a bowl let go fills a pipe that is too narrow for it, and a wide one not", () => {
  expect(find(kranich, "runsFull")).toMatchObject({ severity: "note" });
  const wide = { innerMm: 71.2, outerMm: 75, manningN: 0.009 };
  expect(find(change(kranich, [set(["lines", drain.id, "pipe"], wide)]), "runsFull")).toBeUndefined();
  expect(find(change(kranich, [set(["fixtures", "sink", "hasPlug"], false)]), "runsFull")).toBeUndefined();
});

test("a leg through an obstacle, and one only too near to the exhaust", () => {
  const pipe = { ...bend!, z: bend!.z + 10 };
  const block = { ...kranich.obstacles[0]!, id: "block", name: "Block", lengthMm: 40, widthMm: 40, heightMm: 40 };
  const into = { ...block, atMm: { x: pipe.x - 60, y: pipe.y - 20, z: pipe.z - 20 } };
  const through = change(kranich, [{ op: "insert", path: ["obstacles"], index: 0, value: into }]);
  expect(find(through, "legHitsObstacle")).toMatchObject({ severity: "must", obstacleId: "block" });
  const beside = { ...into, kind: "exhaust", atMm: { ...into.atMm, y: pipe.y + 70 } };
  const near = change(kranich, [{ op: "insert", path: ["obstacles"], index: 0, value: beside }]);
  const finding = find(near, "legHitsObstacle");
  expect(finding?.code === "legHitsObstacle" && finding.gapMm).toBeGreaterThan(0);
  const rail = change(kranich, [
    { op: "insert", path: ["obstacles"], index: 0, value: { ...beside, kind: "crossMember" } },
  ]);
  expect(find(rail, "legHitsObstacle")).toBeUndefined();
});

test("a sink that hangs lower than the tank's inlet is where the tank comes up", () => {
  const low = change(kranich, [
    buildPutItems(drain, { trap: null }),
    set(["lines", drain.id, "bendsMm"], []),
    set(["fixtures", "sink", "outletMm", "z"], tank.atMm.z + 60),
  ]);
  expect(find(low, "fixtureDrownsFirst")).toMatchObject({ severity: "must", at: { kind: "fixture", id: "sink" } });
});

test("a breather at the end that stands low drowns first", () => {
  const low = change(kranich, [
    set(["tanks", tank.id, "ports", port("vent"), "atMm"], { x: 0, y: 200, z: 60 }),
    set(["tanks", tank.id, "ports", port("inlet"), "atMm", "z"], 150),
  ]);
  expect(find(low, "ventDrownsFirst")).toMatchObject({ severity: "should", at: { kind: "port" } });
});

test("worst first, and the same finding keeps its id when its numbers change", () => {
  const two = change(kranich, [buildPutItems(drain, { trap: null }), set(["rig", "sillZMm"], -200)]);
  const ranks = { must: 0, should: 1, note: 2 };
  const order = evaluate(two).findings.map((f) => ranks[f.severity]);
  expect(order).toEqual([...order].sort());
  const deeper = change(two, [set(["rig", "sillZMm"], -150)]);
  expect(find(deeper, "tankBelowSill")!.id).toBe(find(two, "tankBelowSill")!.id);
});

test("a use that takes more than is carried is told in every way of living that is lived, once, and in no other", () => {
  const [wild] = kranich.habits.ways.filter(({ id }) => id === "wild");
  const thirsty = { ...wild!, id: "feast", name: "Feast", uses: wild!.uses.map((use) => ({ ...use, takesL: 290 })) };
  const ways = [...kranich.habits.ways, thirsty];
  const live = (...wayIds: string[]): Design => ({
    ...kranich,
    habits: { ...kranich.habits, ways, stretches: wayIds.map((wayId) => ({ wayId, days: 3 })) },
  });
  const told = (design: Design) =>
    evaluate(design, LEVEL).findings.filter(({ code }) => code === "useBeyondFresh").length;
  expect(told(live("wild"))).toBe(0);
  expect(told(live("wild", "feast"))).toBe(
    thirsty.uses.filter(({ from, times }) => from === "fresh" && times > 0).length,
  );
  expect(told(live("feast", "wild", "feast"))).toBe(told(live("wild", "feast")));
});
