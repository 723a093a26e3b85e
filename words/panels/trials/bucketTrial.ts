export const thisTankHasNoOutlet = "This tank has no outlet to try.";
export const fillTheTankDumpHose =
  "Fill the tank. Dump hose on as on the road, hatch shut. Open the valve, and take the time until so many litres are out. Then once more from full, with the hatch or the filling cap open.";
export const litresLetOut = "Litres let out";
export const secondsHatchShut = "Seconds, hatch shut";
export const secondsHatchOpen = "Seconds, hatch open";
