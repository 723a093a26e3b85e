import type { Design } from "@/core/design/design";
import type { RigJoint } from "@/core/parts/rigJoints";
import {
  type EndKind,
  type EndSize,
  type Fit,
  type JointVerdict,
  SEALANTS as SEALS,
  type Sealant,
} from "@/core/parts/threads";
import { PORT_NAMES } from "./labels";
import { describePipe } from "./parts";
import { THREAD_NAMES } from "./tankLabels";
import type { Units } from "./units";

export const END_NAMES: Readonly<Record<EndKind, string>> = {
  bspp: "BSP parallel (G)",
  bspt: "BSP tapered (R)",
  npt: "NPT",
  gardenHose: "Garden hose",
  hoseBarb: "Hose barb",
  pushFit: "Push-fit",
  solventPvc: "Solvent, PVC",
  solventAbs: "Solvent, ABS",
  compression: "Compression",
};

const FITS: Readonly<Record<Fit, string>> = {
  fits: "They fit.",
  startsAndLeaks:
    "It starts, turns tight and leaks: the same threads an inch, but 55° against 60°. Use an adaptor made for both.",
  jams: "It jams after a turn or two: the threads an inch differ. Use an adaptor made for both.",
  adaptor: "They do not join. Use an adaptor with one of each end.",
  notMade: "One of them is not made in this size.",
};

const SEALANTS: Readonly<Record<Sealant, string>> = {
  washer: "A flat washer seals it, not the thread: no tape.",
  tapeOrPaste: "Thread tape, with the thread, or paste made for plastic. No hemp oil or putty on ABS.",
  none: "Its own ring and nut seal it: nothing on the thread.",
  clamp: "Two clamps where they fit, over the ridges.",
  cement: "Solvent cement for this plastic only: primer and cement, and a day before water.",
  ring: "Its rubber ring, with silicone grease: no cement, and a clip so that it cannot work out.",
};

/** What comes of joining two ends. */
export const describeJoint = ({ fit, sealant }: JointVerdict): string =>
  `${FITS[fit]}${sealant === null ? "" : ` ${SEALANTS[sealant]}`}`;

export const formatEndSize = (size: EndSize): string =>
  `${size.replace("1/2", "½").replace("3/4", "¾").replace("1/4", "¼")} in`;

/** Said under every joint that is looked up. */
export const JOINT_CAUTION =
  "Putty on a drain flange works loose in a moving vehicle. Soap, solvent and putty crack ABS in time.";

/** Where a joint of the rig is: the end that is there and the line that comes to it. */
export function describeJointPlace({ at, lineId }: RigJoint, { lines, gear, tanks }: Design): string {
  const line = lines.find(({ id }) => id === lineId)?.name ?? lineId;
  if (at.kind === "gear") return `${gear.find(({ id }) => id === at.id)?.name ?? at.id} to ${line}`;
  const tank = tanks.find(({ id }) => id === at.tankId);
  const port = tank?.ports.find(({ id }) => id === at.portId);
  return `${tank?.name ?? at.tankId}, ${port ? PORT_NAMES[port.kind].toLowerCase() : "port"}, to ${line}`;
}

/** How a joint of the rig is made: what meets what, and what seals it. */
export function describeJointWork({ at, one, other, verdict }: RigJoint, units: Units): string {
  const pipe = `${describePipe(other.pipe, units)}, ${END_NAMES[other.kind].toLowerCase()}`;
  const seal = SEALANTS[SEALS[other.kind]];
  if (at.kind === "gear")
    return `Its own tail to ${pipe}. ${seal} Hold the tail's size against the hose before you buy.`;
  if (!one || !verdict) return `Bulkhead or grommet to ${pipe}. ${seal}`;
  const thread = THREAD_NAMES[one.thread];
  const joins =
    verdict.fit === "fits"
      ? "They fit."
      : `An adaptor, ${thread} to ${describePipe(other.pipe, units)}, is in the parts.`;
  return `${thread} to ${pipe}. ${joins} Thread: ${SEALANTS[SEALS[one.kind]]} Pipe: ${seal}`;
}

/** Joints that are made alike, with their places: one instruction for all of them. */
export function groupJoints(
  joints: readonly RigJoint[],
  design: Design,
  units: Units,
): readonly { readonly work: string; readonly places: readonly string[] }[] {
  const groups = new Map<string, string[]>();
  for (const joint of joints) {
    const work = describeJointWork(joint, units);
    groups.set(work, [...(groups.get(work) ?? []), describeJointPlace(joint, design)]);
  }
  return [...groups].map(([work, places]) => ({ work, places }));
}
