export const whatCanGoWrong = "What can go wrong";
export const inTheStatesAsThey = "In the states as they stand, and with any one failure, no water goes astray.";
export const provingEveryPosition = "Proving every position";
export const proveEveryPosition = "Prove every position";
export const whereFreshWaterMeetsOther = "Where fresh water meets other water";
export const and = "and";
export const more = "more";
