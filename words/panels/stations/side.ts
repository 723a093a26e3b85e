/** Where what a stage cannot hold is found: in the column, or on a phone in a view of its own. */
export const inTheColumn = "at the right";
export const inItsOwnView = "under Measures";
