export const howItIsWorkedOut = "How it is worked out";
