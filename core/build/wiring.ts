import type { Design } from "../design/design";
import type { Gear, SpecOf } from "../design/gear";
import type { Tank } from "../design/plumbing";
import type { Supply } from "../design/rig";
import { measureExtent } from "../geometry/solid";
import { add, scale, type Vec3 } from "../geometry/vec";
import { listOutHoses } from "../heads/lift";

/** What of a part wants current: a piece of gear itself, or at a tank its dump valve, its level sender, or a heating pad. */
export const LOAD_KINDS = ["gear", "dumpValve", "sender", "pad"] as const;
export type LoadKind = (typeof LOAD_KINDS)[number];

/** Something on the water side that wants current. */
export type Load = {
  readonly id: string;
  readonly kind: LoadKind;
  readonly at: { readonly kind: "gear" | "tank"; readonly id: string };
  /** Of the piece or tank. */
  readonly name: string;
  readonly watts: number;
  readonly atMm: Vec3;
  readonly isOutside: boolean;
  /** Its cable leaves the rig through the floor; a boat's bilge is within her. */
  readonly goesThroughFloor: boolean;
  /** Who lets the current through: a hand's switch, the float of a sump by its id, or what it has of its own. */
  readonly startedBy: "switch" | "itself" | { readonly floatOf: string };
};

/** A cable to it, out and back in one sheath, with its fuse. */
export type Wire = {
  readonly load: Load;
  readonly amps: number;
  /** From the fuse box along walls and floor, one way, mm. */
  readonly lengthMm: number;
  /** Least copper by the voltage drop, mm², and the next size sold that also bears the current. */
  readonly leastMm2: number;
  readonly sizeMm2: number | null;
  readonly dropShare: number;
  /** The next fuse up from a quarter over the current that its cable still bears, A; null where none does. */
  readonly fuseA: number | null;
  /** More than a small switch bears: a relay. */
  readonly wantsRelay: boolean;
  /** Hole in the floor for the gland that holds it, mm; null where it stays inside. */
  readonly glandMm: number | null;
};

/** Where nothing is said: 12 V, fuses on the middle line forward and 300 mm up, 3 % lost [T]. */
const usualSupply = ({ rig }: Pick<Design, "rig">): Supply => ({
  volts: 12,
  boxMm: { x: Math.round(rig.lengthMm * 0.75), y: 0, z: 300 },
  dropShare: 0.03,
});

/** What the current comes from, as the builder said or as it usually is. */
export const readSupply = (design: Pick<Design, "rig">): Supply => design.rig.supply ?? usualSupply(design);

/** Copper warm in a bundle, Ω mm²/m [P: 0.0172 at 20 °C and 0.393 % a kelvin, from memory, 97 %; 50 °C]. */
const COPPER = 0.0192;
/** Cable sold, mm², and what each bears in a bundle, A [T: cautious; the maker's table goes first]. */
const SIZES: readonly (readonly [number, number])[] = [
  [0.75, 6],
  [1, 8],
  [1.5, 12],
  [2.5, 17],
  [4, 23],
  [6, 30],
  [10, 42],
  [16, 57],
  [25, 76],
];
/** Blade fuses as sold, A. */
const FUSES = [1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60] as const;
/** Two cores in one sheath up to so many mm² go through a gland for a hole of so many mm [T: from memory]. */
const GLANDS: readonly (readonly [number, number])[] = [
  [1.5, 16],
  [4, 20],
  [10, 25],
  [16, 32],
  [25, 40],
];
const OVER = 1.25;
const SWITCH_A = 10;
/** Cable goes along walls, not as the crow flies, and comes up to its ends [T]. */
const DETOUR = 1.15;
/** A motor valve, W [T]. */
const MOTOR_W = 12;
/** A level sender with its display, W [T: on the high side]. */
const SENDER_W = 2;

/** A toilet's motor, W [T: on the high side; the maker's figure goes first]. */
const BOWL_W: Readonly<Record<SpecOf<"bowl">["bowl"], number>> = {
  handPump: 0,
  gravity: 0,
  macerating: 300,
  vacuum: 150,
};

function findWatts(spec: Gear["spec"]): number {
  switch (spec.kind) {
    case "pump":
      return spec.pump === "hand" ? 0 : spec.watts;
    case "uvLamp":
    case "heater":
      return spec.watts;
    case "bowl":
      return BOWL_W[spec.bowl];
    case "valve":
    case "diverter":
      return spec.drive === "motor" ? MOTOR_W : 0;
    default:
      return 0;
  }
}

/**
 * Pumps, lamps, heaters, toilets with a motor and motor valves; at each tank its electric dump valve, its sender and its
 * heating pad. Source: the design; a motor's, sender's and toilet's watts [T].
 */
export function listLoads(design: Design): Load[] {
  return [...listGearLoads(design), ...design.tanks.flatMap((tank) => listTankLoads(design, tank))];
}

function listGearLoads(design: Design): Load[] {
  const pumps = new Set(design.gear.flatMap(({ id, spec }) => (spec.kind === "pump" ? [id] : [])));
  // the pump a sump's hose comes to first is the one its float starts
  const floats = new Map(
    design.gear.flatMap(({ id, spec }) => {
      if (spec.kind !== "sump") return [];
      const ends = listOutHoses(design, id).flatMap(({ from, to }) => [from, to]);
      const pump = ends.find((end) => end.kind === "gear" && pumps.has(end.gearId));
      return pump?.kind === "gear" ? [[pump.gearId, id] as const] : [];
    }),
  );
  return design.gear.flatMap(({ id, name, atMm, sizeMm, spec }): Load[] => {
    const watts = findWatts(spec);
    if (watts <= 0) return [];
    const middle = add(atMm, scale({ x: sizeMm.x, y: sizeMm.y, z: sizeMm.z }, 0.5));
    const floatOf = spec.kind === "pump" ? floats.get(id) : undefined;
    const isOwn = spec.kind === "bowl" || (spec.kind === "pump" && spec.cutInKPa !== null);
    return [
      {
        id,
        kind: "gear",
        at: { kind: "gear", id },
        name,
        watts,
        atMm: middle,
        isOutside: middle.z < 0,
        goesThroughFloor: middle.z < 0 && design.rig.kind !== "boat",
        startedBy: floatOf === undefined ? (isOwn ? "itself" : "switch") : { floatOf },
      },
    ];
  });
}

function listTankLoads({ rig }: Design, tank: Tank): Load[] {
  const isOutside = tank.atMm.z < 0;
  const load = (kind: LoadKind, key: string, watts: number, atMm: Vec3, startedBy: Load["startedBy"]): Load => ({
    id: `${kind}-${key}`,
    kind,
    at: { kind: "tank", id: tank.id },
    name: tank.name,
    watts,
    atMm,
    isOutside,
    goesThroughFloor: isOutside && rig.kind !== "boat",
    startedBy,
  });
  const { id, atMm, sender, solid, padW = 0 } = tank;
  return [
    ...tank.ports.flatMap((port) =>
      port.valve?.kind === "electric"
        ? [load("dumpValve", `${id}-${port.id}`, MOTOR_W, add(atMm, port.atMm), "switch")]
        : [],
    ),
    ...(sender
      ? [load("sender", id, SENDER_W, add(atMm, { x: sender.xMm, y: sender.yMm, z: sender.highMm }), "itself")]
      : []),
    ...(padW > 0 ? [load("pad", id, padW, add(atMm, middleOfBottom(solid)), "switch")] : []),
  ];
}

function middleOfBottom(solid: Tank["solid"]): Vec3 {
  const { min, max } = measureExtent(solid);
  return { x: (min.x + max.x) / 2, y: (min.y + max.y) / 2, z: min.z };
}

/**
 * Cable and fuse of one load: A = 2 L I ρ/ΔU with the copper warm, then the next size sold that also bears the fuse. Watts > 0,
 * share in (0, 0.2]. Source: Ohm [C]; sizes, fuses and what a cable bears [T].
 * Example: 70 W at 12 V, 5 m, 3 % → 5.83 A, 3.11 mm² → 4 mm², fuse 7.5 A.
 */
export function sizeWire(load: Load, { volts, boxMm, dropShare }: Supply): Wire {
  const amps = load.watts / volts;
  const { x, y, z } = load.atMm;
  const lengthMm = DETOUR * (Math.abs(x - boxMm.x) + Math.abs(y - boxMm.y) + Math.abs(z - boxMm.z));
  const ohmMm2 = (2 * lengthMm * COPPER) / 1000;
  const leastMm2 = (ohmMm2 * amps) / (volts * dropShare);
  const fuse = FUSES.find((one) => one >= amps * OVER) ?? null;
  const size = SIZES.find(([mm2, bears]) => mm2 >= leastMm2 && fuse !== null && bears >= fuse) ?? null;
  return {
    load,
    amps,
    lengthMm,
    leastMm2,
    sizeMm2: size?.[0] ?? null,
    dropShare: size ? (ohmMm2 * amps) / size[0] / volts : Number.POSITIVE_INFINITY,
    fuseA: size ? fuse : null,
    wantsRelay: amps > SWITCH_A,
    glandMm: (load.goesThroughFloor && size && GLANDS.find(([mm2]) => mm2 >= size[0])?.[1]) || null,
  };
}

/** Every load with its cable, from the design's own supply. */
export function listWires(design: Design): Wire[] {
  const supply = readSupply(design);
  return listLoads(design).map((load) => sizeWire(load, supply));
}
