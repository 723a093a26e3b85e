export const handBack = "Hand back";
export const whatIsTickedCouldNot = "What is ticked could not be read in this browser.";
export const onTheDeskOpenBuild =
  "On the desk open Build, “Under the floor”, press “Read the phone's codes” and hold this to its camera.";
