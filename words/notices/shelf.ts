export const theListOfDesignsCould = "The list of designs could not be read. What is open is saved all the same.";
