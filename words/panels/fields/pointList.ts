export const oneBeforeIt = "One before it";
export const takeItOut = "Take it out";
export const oneBeforeTheEnd = "One before the end";
