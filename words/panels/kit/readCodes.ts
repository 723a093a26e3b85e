import type { Shown } from "../../shown";

export const oneCodeWasReadWrongly = "One code was read wrongly. Hold still, it starts again.";
export const readCodes = "Read codes";
export const theCameraWasRefusedAllow =
  "The camera was refused. Allow it for this page, or carry the design over as a file.";
export const noCameraHereOrThe = "No camera here, or the address is not secure. Carry the design over as a file.";
export const ofCodesRead = (size: Shown, count: Shown) => `${size} of ${count} codes read`;
export const holdThePhoneOnThe = "Hold the phone on the codes.";
