import type { Shown } from "../../shown";

export const zoomInOnThe = (of: Shown) => `Zoom in on the ${of}`;
export const zoomOutOfThe = (of: Shown) => `Zoom out of the ${of}`;
export const showTheWhole = (of: Shown) => `Show the whole ${of}`;
