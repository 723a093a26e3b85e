/** Room at the left for the litres, at the right for the last day's name, px. */
const LEFT_PX = 52;
const RIGHT_PX = 14;

/** Where a day stands on the sheet, px, and which day a place is. */
export const toX = (day: number, days: number, widthPx: number): number =>
  LEFT_PX + (day / days) * (widthPx - LEFT_PX - RIGHT_PX);

export const toDay = (xPx: number, days: number, widthPx: number): number =>
  ((xPx - LEFT_PX) / (widthPx - LEFT_PX - RIGHT_PX)) * days;

/** Days that bear a figure: not more than fit. */
export function listDayMarks(days: number, widthPx: number): number[] {
  const step = [1, 2, 5, 7, 10, 14].find((s) => (days / s) * 34 <= widthPx - LEFT_PX) ?? 14;
  return Array.from({ length: Math.floor(days / step) + 1 }, (_, i) => i * step);
}
