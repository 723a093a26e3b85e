import type { Shown } from "../../shown";

export const people = "People";
export const addPeople = "Add people";
export const daysAWeekAboard = "Days a week aboard";
export const daysAWeekAboardOf = (name: Shown) => `${name}, days a week aboard`;
export const take = "Take";
export const out = "out";
