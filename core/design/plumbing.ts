import { id, list, litres, mm, name, node, number, pointMm, whole } from "./fields";
import { hoseEnd } from "./gear";
import { locked } from "./locked";
import * as z from "./z";

export const FIXTURE_KINDS = [
  "kitchenSink",
  "basin",
  "showerTray",
  "bath",
  "washingMachine",
  "iceboxDrain",
  "urineDiverter",
  "outsideShower",
  "gravityToilet",
] as const;

export const fixture = z.strictObject({
  id,
  name,
  kind: z.enum(FIXTURE_KINDS),
  /** Underside of the waste: where the water leaves the fixture. */
  outletMm: pointMm,
  boreMm: mm(8, 160),
  /** Height of the rim over the outlet: how deep water can stand before it runs over. */
  rimMm: mm(10, 800),
  /** Tap at full flow. */
  inflowLps: number("L/s", 0.001, 5),
  /** What one use takes. */
  volumePerUseL: litres(0.1, 300),
  /** It is filled with the plug in and let go at once; without, it runs as it is used. */
  hasPlug: z.boolean(),
  /** Nothing else runs while it does, so that its flow is never added to that of others. */
  runsAlone: z.boolean(),
  locked,
});

const profileCorner = z.strictObject({ u: mm(-10_000, 10_000), v: mm(-10_000, 10_000) });

/** The inside of a tank. */
export const solid = z.discriminatedUnion("shape", [
  z.strictObject({
    shape: z.literal("box"),
    lengthMm: mm(20, 10_000),
    widthMm: mm(20, 4_000),
    heightMm: mm(20, 3_000),
  }),
  z.strictObject({
    shape: z.literal("prism"),
    axis: z.enum(["x", "y", "z"]),
    lengthMm: mm(20, 10_000),
    profileMm: list(profileCorner, { least: 3, most: 64 }),
  }),
  /** A round tank, lying along x or y or standing on z. */
  z.strictObject({
    shape: z.literal("cylinder"),
    axis: z.enum(["x", "y", "z"]),
    lengthMm: mm(20, 10_000),
    diameterMm: mm(20, 3_000),
  }),
]);

export const PORT_KINDS = ["inlet", "vent", "outlet", "hatch", "sender", "plug", "draw", "fill"] as const;

/** Threads of fittings, by the outside of the male one: pipe threads, parallel (G) and tapered (NPT). */
export const THREADS = [
  "g12",
  "g34",
  "g1",
  "g114",
  "g112",
  "g2",
  "npt12",
  "npt34",
  "npt1",
  "npt114",
  "npt112",
  "npt2",
] as const;

/** The valve behind a dump outlet and its own bore, which may be narrower than the outlet. */
export const valve = z.strictObject({ kind: z.enum(["manual", "electric"]), boreMm: mm(4, 160) });

/**
 * A hole in the tank: an inlet from a drain, the breather, the outlet with its dump valve, or one that is shut: a hatch to
 * look in, a sender's hole, a drain plug; and where hoses draw from it and fill it.
 */
export const port = z.strictObject({
  id,
  kind: z.enum(PORT_KINDS),
  /** Its invert, from the tank's own corner. */
  atMm: pointMm,
  boreMm: mm(4, 300),
  /** Null for a plain bulkhead or grommet. */
  thread: z.nullable(z.enum(THREADS)),
  /** How far bend, valve or hose tail stand out from the wall. */
  fittingMm: mm(0, 800),
  /** Dump outlets only; null where none is chosen yet. */
  valve: z.nullable(valve),
});

/** What a tank holds; the loop is shower water that is cleaned and used again, and never drunk. */
export const HELD_WATERS = ["grey", "black", "fresh", "loop"] as const;

export const MATERIALS = ["polyethylene", "stainless", "aluminium", "grp"] as const;

export const SENDER_KINDS = ["probes", "pads", "float", "pressure", "fullOnly"] as const;

/** What tells the level: where it sits in plan, from the tank's own corner, and the heights between which it tells. */
export const sender = z.strictObject({
  kind: z.enum(SENDER_KINDS),
  xMm: mm(-10_000, 10_000),
  yMm: mm(-10_000, 10_000),
  lowMm: mm(0, 3_000),
  highMm: mm(1, 3_000),
});

export const FIXING_KINDS = ["straps", "cradle", "tray", "brackets", "onFloor"] as const;

/** What a bolt is held in: through with plate and nut, a rivet nut, or thin sheet that a screw has cut its way into. */
export const FASTENERS = ["through", "rivetNut", "selfTapping"] as const;
export const BOLT_SIZES = ["M6", "M8", "M10", "M12"] as const;

/** What holds a tank up: bolts of property class 8.8, and what each of them sits in or pulls on. */
export const fixing = z.strictObject({
  kind: z.enum(FIXING_KINDS),
  fastener: z.enum(FASTENERS),
  bolts: whole(1, 24),
  size: z.enum(BOLT_SIZES),
  /** Where each bolt sits, from the tank's own corner; null for rows along both ends. */
  placesMm: z.nullable(list(z.strictObject({ x: mm(-3_000, 13_000), y: mm(-3_000, 7_000) }), { least: 1, most: 24 })),
  /** Ratings of what one bolt sits in or pulls on, from its data sheet, pulled out and in shear; null where not known. */
  heldKN: z.nullable(number("kN", 0.1, 200)),
  heldShearKN: z.nullable(number("kN", 0.1, 200)),
  /** What those ratings are divided by. */
  heldFactor: number("factor", 1, 10),
  /** Rating of one strap or J-bolt, of which two bolts hold each; null where there is none or it is not known. */
  strapKN: z.nullable(number("kN", 0.1, 200)),
  /** Through bolts have a plate behind the sheet they go through. */
  hasPlate: z.boolean(),
  /** Something solid before and behind it, so that it cannot slide out of its straps. */
  hasEndStop: z.boolean(),
});

export const LINK_KINDS = ["communicating", "pumped"] as const;

/** A tank that goes on in another: level with it through a pipe at the bottom, or pumped over into it. */
export const link = z.strictObject({ kind: z.enum(LINK_KINDS), toTank: id });

export const tank = z.strictObject({
  id,
  name,
  holds: z.enum(HELD_WATERS),
  /** Lowest, rearmost, rightmost corner of the inside. */
  atMm: pointMm,
  solid,
  wallMm: mm(0.5, 30),
  material: z.enum(MATERIALS),
  /** Lagging all round. */
  insulationMm: mm(0, 200),
  /** A heating pad on its wall; 0 or absent where there is none. */
  padW: z.optional(number("W", 0, 1_000)),
  sender: z.nullable(sender),
  fixing: z.nullable(fixing),
  link: z.nullable(link),
  ports: list(port, { most: 24 }),
  locked,
});

export const pipe = z.strictObject({
  innerMm: mm(6, 160),
  outerMm: mm(7, 180),
  /** Manning's n: smooth plastic 0.009 to 0.011, convoluted hose about 0.02. */
  manningN: number("s/m^(1/3)", 0.005, 0.05),
});

export const TRAP_KINDS = ["pTrap", "bottle", "running", "membrane"] as const;

export const trap = z.strictObject({
  kind: z.enum(TRAP_KINDS),
  /** Depth of water that holds the gas back; 0 for a waterless valve. */
  sealMm: mm(0, 200),
  /** Height it takes from the fixture's outlet down to its weir. */
  dropMm: mm(0, 500),
  /** How far it carries the water sideways from the outlet to the weir. */
  spanMm: mm(0, 1_000),
  /** It can be opened and cleaned out by hand where it sits. */
  hasCleanout: z.boolean(),
});

export const PIPE_JOINTS = ["union", "reducer", "hoseBarb"] as const;

/** What is put into a drain beside traps: an opening to rod it through, a valve turned by hand, a flap against backflow. */
export const INLINE_PIECES = ["cleanout", "shutOff", "nonReturn"] as const;

/** Air to the branch near its trap: an open pipe, or a valve that only lets air in. */
export const branchVent = z.strictObject({
  kind: z.enum(["openPipe", "admittanceValve"]),
  fromWeirMm: mm(0, 20_000),
});

/** A round hole that is there: for the leg that begins at the node, or the first, the how manieth along it, and how wide. */
const drilled = z.strictObject({
  kind: z.literal("hole"),
  node: z.nullable(id),
  nth: whole(0, 40),
  diameterMm: mm(5, 500),
});

/** What sits on a drain: at a point, known by its id, with which it goes; or at its beginning, before every point. */
export const lineItem = z.discriminatedUnion("kind", [
  /** The trap under the fixture. */
  z.strictObject({ kind: z.literal("trap"), node: z.null(), trap }),
  z.strictObject({ kind: z.literal("branchVent"), node: z.null(), vent: branchVent }),
  /** A low running trap in the line itself: it serves everything that drains through it. */
  z.strictObject({ kind: z.literal("runningTrap"), node: id, sealMm: mm(10, 200), hasCleanout: z.boolean() }),
  /** Where a drain goes on in another pipe, until the next change. */
  z.strictObject({ kind: z.literal("pipeChange"), node: id, joint: z.enum(PIPE_JOINTS), pipe }),
  z.strictObject({ kind: z.literal("inline"), node: id, piece: z.enum(INLINE_PIECES) }),
  drilled,
]);

const lineEnds = { id, name, pipe, locked };

/** Foam round the whole of a line that holds water, where it runs under the floor. Not said where there is none. */
const insulationMm = z.optional(mm(0, 100));

export const FITTINGS = ["wye", "tee"] as const;

/** Where a drain ends: at an inlet of a tank, in another drain at one of its bends, in the open, or in a vessel. */
export const outfall = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("inlet"), tankId: id, portId: id }),
  z.strictObject({
    kind: z.literal("junction"),
    lineId: id,
    /** The bend of that drain it comes in at. */
    node: id,
    fitting: z.enum(FITTINGS),
  }),
  /** The open end under the rig, from which the water falls on the ground. */
  z.strictObject({ kind: z.literal("ground"), atMm: pointMm }),
  /** A canister, bucket or bottle of the habits that stands under its open end. */
  z.strictObject({ kind: z.literal("vessel"), vesselId: id, atMm: pointMm }),
  /** A skin fitting in the hull or side, through which it runs overboard. */
  z.strictObject({ kind: z.literal("overboard"), gearId: id }),
  /** A sump box, whose pump sends the water on. */
  z.strictObject({ kind: z.literal("sump"), gearId: id }),
]);

/** A drain: fixture, trap, a path of inverts, tank inlet or the drain it joins. */
export const drain = z.strictObject({
  ...lineEnds,
  kind: z.literal("drain"),
  insulationMm,
  fromFixture: id,
  to: outfall,
  /** Inverts of the bends between the trap's weir and the end. */
  bendsMm: list(node, { most: 60 }),
  /** What sits at its beginning and at its bends. */
  items: list(lineItem, { most: 42 }),
});

/** Where a breather ends: in the open air, which is its last point, or at a point of another breather, by a tee. */
export const ventEnd = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("openAir"),
    /** Insects stay out. */
    hasMesh: z.boolean(),
  }),
  z.strictObject({ kind: z.literal("tee"), lineId: id, node: id }),
]);

/** What sits on other lines: holes that are there. Not said where none was ever told. */
const holes = z.optional(list(drilled, { most: 40 }));

/** A tank's breather: from its port along the points to its end. */
export const vent = z.strictObject({
  ...lineEnds,
  kind: z.literal("vent"),
  fromTank: id,
  fromPort: id,
  to: ventEnd,
  pointsMm: list(node, { most: 60 }),
  items: holes,
});

/** What a hose lets through of a smell: vinyl for water, sanitation hose, a barrier hose, or rigid pipe. */
export const HOSE_WALLS = ["plain", "sanitation", "barrier", "rigid"] as const;

/** Water that is pushed or sucked from one port to another along its points. */
export const hose = z.strictObject({
  ...lineEnds,
  kind: z.literal("hose"),
  insulationMm,
  from: hoseEnd,
  to: hoseEnd,
  pointsMm: list(node, { most: 60 }),
  items: holes,
  /** Not said in designs that never asked. */
  wall: z.optional(z.enum(HOSE_WALLS)),
});

/**
 * Where a dump line ends: at its last point, with a coupling for a hose or a bare end over a drain, or by a wye in another
 * one, so that two tanks are let go through one coupling.
 */
export const dumpEnd = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("coupling") }),
  z.strictObject({ kind: z.literal("wye"), lineId: id, node: id }),
]);

/** A tank's dump line: from its outlet along its points, inverts all, to where it is let go. */
export const dumpLine = z.strictObject({
  ...lineEnds,
  kind: z.literal("dumpLine"),
  insulationMm,
  fromTank: id,
  fromPort: id,
  to: dumpEnd,
  /** None where it goes straight into another one. */
  pointsMm: list(node, { most: 60 }),
  items: holes,
  /** A valve at its end, before which it stands full as soon as the one at the tank is open; null where there is only a cap. */
  endValve: z.nullable(valve),
});

export const line = z.discriminatedUnion("kind", [drain, vent, hose, dumpLine]);

export type Fixture = z.infer<typeof fixture>;
export type FixtureKind = Fixture["kind"];
export type Tank = z.infer<typeof tank>;
export type Port = z.infer<typeof port>;
export type Thread = (typeof THREADS)[number];
export type Valve = z.infer<typeof valve>;
export type LinkKind = (typeof LINK_KINDS)[number];
export type PortKind = Port["kind"];
export type Pipe = z.infer<typeof pipe>;
export type Trap = z.infer<typeof trap>;
export type TrapKind = Trap["kind"];
export type BranchVent = z.infer<typeof branchVent>;
export type Fitting = (typeof FITTINGS)[number];
export type Outfall = z.infer<typeof outfall>;
export type LineItem = z.infer<typeof lineItem>;
export type InlinePiece = (typeof INLINE_PIECES)[number];
export type PipeJoint = (typeof PIPE_JOINTS)[number];
export type Material = Tank["material"];
export type Fixing = z.infer<typeof fixing>;
export type Fastener = (typeof FASTENERS)[number];
export type FixingKind = Fixing["kind"];
export type BoltSize = Fixing["size"];
export type Sender = z.infer<typeof sender>;
export type SenderKind = Sender["kind"];
export type HeldWater = Tank["holds"];
export type Drain = z.infer<typeof drain>;
export type Vent = z.infer<typeof vent>;
export type Hose = z.infer<typeof hose>;
export type Node = z.infer<typeof node>;
export type DumpLine = z.infer<typeof dumpLine>;
export type HoseWall = (typeof HOSE_WALLS)[number];
export type Line = z.infer<typeof line>;
