import type { Port } from "./plumbing";

type PortPlace = Pick<Port, "id" | "kind" | "atMm" | "boreMm">;

/** A plain hole: no thread, nothing chosen to stand before it. */
export const createPort = (place: PortPlace): Port => ({ ...place, thread: null, fittingMm: 0, valve: null });
