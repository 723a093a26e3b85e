/** What is measured of a piece in use, or set on it: it stays the same piece. */
const MEASURED = ["transmittance", "fouling", "endOfLife", "timerS", "supplyKPa"];
/** What was read off a data sheet or a gauge, and the room that is kept round a part. */
const READ_OFF = ["heldKN", "heldShearKN", "heldFactor", "strapKN", "lowMm", "highMm", "openBelowMm", "fittingMm"];
/** What is written on a drawing, or done to it, and built by nobody. */
const WRITTEN = ["name", "locked", "isSecured"];

const UNBUILT: ReadonlySet<string> = new Set([...MEASURED, ...READ_OFF, ...WRITTEN]);

/** Whether a field of a part says nothing of how it is built. */
export const isUnbuilt = (key: string): boolean => UNBUILT.has(key);
