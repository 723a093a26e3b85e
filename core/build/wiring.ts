import type { Design } from "../design/design";
import type { SpecOf } from "../design/gear";
import { readNight } from "../frost/night";
import { computeTankFrost } from "../frost/tankFrost";
import { add, scale, type Vec3 } from "../geometry/vec";

/** Something on the water side that wants current. */
export type Load = {
  readonly id: string;
  readonly name: string;
  readonly watts: number;
  readonly atMm: Vec3;
  readonly isOutside: boolean;
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
};

export type Supply = {
  /** Of the battery side, V. */
  readonly volts: 12 | 24;
  /** Where the fuses are. */
  readonly boxMm: Vec3;
  /** What may be lost on the way, a share: 0.03 for pumps, 0.1 for lamps in usual practice. */
  readonly dropShare: number;
};

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
const OVER = 1.25;
const SWITCH_A = 10;
/** Cable goes along walls, not as the crow flies, and comes up to its ends [T]. */
const DETOUR = 1.15;
/** A motor valve or float, W [T]. */
const MOTOR_W = 12;

/** A toilet's motor, W [T: on the high side; the maker's figure goes first]. */
const BOWL_W: Readonly<Record<SpecOf<"bowl">["bowl"], number>> = {
  handPump: 0,
  gravity: 0,
  macerating: 300,
  vacuum: 150,
};

/** Pumps, lamps, heaters, toilets with a motor and motor valves, and a pad under each tank that freezes on the night of the rules. */
export function listLoads(design: Design): Load[] {
  const night = readNight(design.rules);
  const gear = design.gear.flatMap(({ id, name, atMm, sizeMm, spec }): Load[] => {
    const watts =
      spec.kind === "pump" || spec.kind === "uvLamp" || spec.kind === "heater"
        ? spec.watts
        : spec.kind === "bowl"
          ? BOWL_W[spec.bowl]
          : (spec.kind === "valve" || spec.kind === "diverter") && spec.drive === "motor"
            ? MOTOR_W
            : 0;
    const middle = add(atMm, scale({ x: sizeMm.x, y: sizeMm.y, z: sizeMm.z }, 0.5));
    return watts > 0 ? [{ id, name, watts, atMm: middle, isOutside: middle.z < 0 }] : [];
  });
  const pads = design.tanks.flatMap((tank): Load[] => {
    if (night.airC >= 0 || tank.atMm.z >= 0) return [];
    const { holdW } = computeTankFrost(tank, 0.5, night);
    return [{ id: `pad-${tank.id}`, name: tank.name, watts: Math.ceil(holdW), atMm: tank.atMm, isOutside: true }];
  });
  return [...gear, ...pads];
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
  };
}

/** Every load with its cable. */
export const listWires = (design: Design, supply: Supply): Wire[] =>
  listLoads(design).map((load) => sizeWire(load, supply));
