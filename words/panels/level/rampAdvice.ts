export const toRun = "To run:";
export const rampsSoThatTheDrains = "Ramps, so that the drains run";
export const toStandLevel = "To stand level:";
export const rampsToStandLevel = "Ramps, to stand level";
export const setTheNoseWithThe = " Set the nose with the coupling.";
