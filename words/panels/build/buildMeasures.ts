import type { Shown } from "../../shown";

export const cutList = "Cut list";
export const csv = "CSV";
export const barsAreSoldIn = "Bars are sold in";
export const bar = "bar";
export const bars = "bars";
export const is = "is";
export const longerThanABarJoin = ", longer than a bar: join it by a socket, or buy it longer.";
export const piecesToCut = "Pieces to cut";
export const piece = "piece";
export const of = "of";
export const middles = "middles";
export const cut = "cut";
export const barWith = (join: Shown) => `Bar with ${join}`;
export const middleToMiddle = "middle to middle";
