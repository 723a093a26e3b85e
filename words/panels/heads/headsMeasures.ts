export const toiletsAndTheirGear = "Toilets and their gear";
export const addToTheHeads = "Add to the heads";
export const gearOfTheHeads = "Gear of the heads";
export const hosesJoinPortsUnderLoop = "Hoses join ports under Loop. Valves and failures are proved there too:";
export const seaBySiphon = "sea by siphon, ";
export const blackWhereItMustNot = "black where it must not go.";
export const sumps = "Sumps";
export const hosesAsTheyLie = "Hoses as they lie";
export const stability = "Stability";
export const weightAsSheFloats = "Weight as she floats";
export const gm = "GM";
export const metacentreOverCentreOfGravity =
  "Metacentre over centre of gravity: from her papers, or a roll test by one who knows.";
export const withHerWeightWhatLoose = "With her weight, what loose water takes is worked out. Trim is not.";
export const whereItMayGo = "Where it may go";
export const youAre = "You are";
export const notSaidWhereTheyAre = "No place given for:";
export const sayItUnderLoopWorking =
  ". Say it under Loop, working states, so that what may go overboard there is proved.";
export const fromMemoryOfThoseRules = "From memory of those rules; the local rule decides.";
export const blackWaterOnLand = "Black water on land";
export const sewageComesInMadeOf = "Sewage comes in; made of";
