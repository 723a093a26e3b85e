export const thatIsNotPossibleHere = "That is not possible here.";
