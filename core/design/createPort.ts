import type { Port } from "./plumbing";

type PortPlace = Pick<Port, "id" | "kind" | "atMm" | "boreMm">;

/** A plain hole without thread; a dump outlet has a valve of its own bore, worked by hand, as nothing else holds the water. */
export const createPort = (place: PortPlace): Port => ({
  ...place,
  thread: null,
  fittingMm: 0,
  valve: place.kind === "outlet" ? { kind: "manual", boreMm: place.boreMm } : null,
});
