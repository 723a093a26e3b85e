export const daysOfTheStay = "Days of the stay";
export const day = "day";
export const daysTheStayShouldLast = "Days the stay should last";
