export const tiltOfTheRig = "Tilt of the rig";
