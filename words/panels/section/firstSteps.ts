export const greyTank = "Grey tank";
export const kitchenSink = "Kitchen sink";
export const thereIsNothingToJudge =
  "There is nothing to judge yet. First the tank: it hangs where there is room, and you move it.";
export const nowTheFirstFixtureIt = "Now the first fixture: it comes with trap, drain and an inlet of its own.";
export const noFixtureHasADrain =
  "No fixture has a drain yet. Draw one at the station Falls, or pick the finding that says so.";
export const hangAGreyTank = "Hang a grey tank";
export const addAKitchenSink = "Add a kitchen sink";
export const lookingForItsPlace = "Looking for its place";
