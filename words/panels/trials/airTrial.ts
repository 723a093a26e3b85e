export const pumpedSideOnlyShutOff =
  "Pumped side only, shut off from every tank and drain. Air or water to the pump's cut-out, soap on every joint.";
export const minutes = "Minutes";
export const airShutIn = "Air shut in";
export const gaugeFirst = "Gauge, first";
export const gaugeLast = "Gauge, last";
export const airAtFirst = "Air at first";
export const airAtLast = "Air at last";
export const barometer = "Barometer";
export const nothingReadYet = "Nothing read yet: what you see and hear decides.";
