export const waterwayTheWholeRigAs = "Waterway: the whole rig as a diagram";
