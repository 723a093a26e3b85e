export const stop = "Stop";
export const theSearchDidNotCome = "The search did not come to an end. Try again.";
