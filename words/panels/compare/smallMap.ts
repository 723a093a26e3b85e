export const right = ". Right:";
export const bow = "bow";
export const nose = "nose";
export const highUp = "high. Up:";
export const port = "port";
export const left = "left";
export const sideHigh = "side high,";
export const atTheEdge = "° at the edge.";
