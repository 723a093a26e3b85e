export const close = "Close";
