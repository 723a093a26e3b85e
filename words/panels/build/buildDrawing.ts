export const whatIsBuiltSolidWhat = "What is built: solid; what the step is about: lit; the rest: thin";
export const fromAboveForwardToThe = "From above, forward to the right";
export const fromTheSide = "From the side";
