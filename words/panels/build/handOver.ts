export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const theseCodesAreNotWhat = "These codes are not what was ticked on the phone.";
export const theseTicksBelongToAnother = "These ticks belong to another design. Open that one first.";
export const theTicksAreInHow = "The ticks are in. How the rig stood is offered at the level.";
export const thisDeviceCannotShareIt = "This device cannot share it. Save it to a file.";
export const underTheFloor = "Under the floor";
export const stepsHolesPipesAndDrain =
  "Steps, holes, pipes and drain-down one at a time in large figures, ticked with a wet thumb.";
export const openOnThisDevice = "Open on this device";
export const shareTheFile = "Share the file";
export const hideTheCodes = "Hide the codes";
export const showAsCodesForA = "Show as codes for a phone";
export const onThePhoneOpenThis =
  "On the phone open this application's address with /under, press “Read codes”, hold it here until all are read. No network is needed for that.";
export const whatWasTickedOnThe = "What was ticked on the phone comes back into the building:";
export const tickedOnThisDevice = "Ticked on this device";
export const cameraOff = "Camera off";
export const readThePhonesCodes = "Read the phone's codes";
