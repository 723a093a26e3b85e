export const add = "Add";
