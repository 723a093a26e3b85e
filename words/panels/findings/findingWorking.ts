export const howItIsWorkedOut = "How it is worked out";
export const limit = "Limit:";
