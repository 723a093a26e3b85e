export const theInventedStopsCouldNot = "The invented stops could not be loaded.";
