import type { Shown } from "../shown";

export const wasNotOpened = (fileName: Shown, why: Shown) => `${fileName} was not opened. ${why}`;
export const wasNotOpened2 = (fileName: Shown, faults: Shown, more: Shown) =>
  `${fileName} was not opened. ${faults}${more}`;
export const isOpenCouldNotBe = (fileName: Shown, left: Shown) =>
  `${fileName} is open; ${left} could not be read and was left out.`;
export const isOpenSignsThatCannot = (fileName: Shown) =>
  `${fileName} is open. Signs that cannot be seen were taken out of its names.`;
export const andMore = (count: number) => ` (and ${count} more)`;
export const isOpen = (fileName: Shown) => `${fileName} is open.`;
