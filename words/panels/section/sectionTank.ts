export const ontoTheGround = "Onto the ground";
