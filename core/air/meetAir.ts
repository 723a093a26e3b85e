import type { Design } from "../design/design";
import type { Network } from "../falls/network";
import type { PumpDraw } from "./pumpOut";
import type { SharedAir } from "./sharedAir";
import type { TankAir } from "./tankAir";
import type { Together } from "./together";

/** Pressure in a tank while it fills, Pa, and the others that fill meanwhile through the same breather. */
export type Fill = { readonly pa: number; readonly otherIds: readonly string[] };

/** What tanks do to one another's air, by their ids; nothing where they do nothing. */
export type MetAir = {
  readonly shared: ReadonlyMap<string, SharedAir>;
  /** What is done to it by all that can be opened and run at once, where that is more than one thing. */
  readonly together: ReadonlyMap<string, Together>;
  readonly fills: ReadonlyMap<string, Fill>;
};

export type MeetAir = (
  design: Design,
  network: Network,
  own: ReadonlyMap<string, TankAir>,
  draws: ReadonlyMap<string, readonly PumpDraw[]>,
) => MetAir;

const APART: MetAir = { shared: new Map(), together: new Map(), fills: new Map() };

/** Whether a breather ends in another one. */
export const doBreathersMeet = ({ lines }: Pick<Design, "lines">): boolean =>
  lines.some((line) => line.kind === "vent" && line.to.kind === "tee");

/** Whether breathers meet, or anything can be drawn on in more than one way at once. */
export const isAirMet = ({ lines, tanks, gear }: Pick<Design, "lines" | "tanks" | "gear">): boolean =>
  doBreathersMeet({ lines }) ||
  tanks.some(({ ports }) => {
    const outlets = ports.filter(({ kind }) => kind === "outlet").length;
    return outlets > 1 || (outlets > 0 && gear.length > 0);
  });

// Few rigs have that: what reckons it comes with its checks.
let meet: MeetAir = () => APART;
export const fitMeetAir = (own: MeetAir): void => {
  meet = own;
};

/** All of it where breathers meet; nothing elsewhere. */
export const findMetAir: MeetAir = (design, ...rest) => (isAirMet(design) ? meet(design, ...rest) : APART);
