export const fixtures = "Fixtures";
export const addAFixture = "Add a fixture";
export const noDrainYet = ", no drain yet";
export const lookingForItsPlace = "Looking for its place";
