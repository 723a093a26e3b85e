import type { EndKind, EndSize, Fit, JointVerdict, Sealant } from "@/core/parts/threads";

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
