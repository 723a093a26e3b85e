export const name = "Name";
export const bore = "Bore";
export const outside = "Outside";
export const madeOf = "Made of";
export const take = "Take";
export const off = "off";
export const point = (number: number) => `Point ${number}`;
export const notSaid = "not said";
