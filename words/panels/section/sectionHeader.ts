export const drainShown = "Drain shown";
