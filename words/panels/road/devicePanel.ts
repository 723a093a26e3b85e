import type { Shown } from "../../shown";

export const devicesSimulated = "Devices, simulated";
export const standInsForSendersMeter =
  "Stand-ins for senders, meter, tilt, heater and valve: no real device is read. A gateway would answer at the same address.";
export const play = "Play";
export const stop = "Stop";
export const runItLive = "Run it live";
export const noDeviceAnswersTheyLive =
  "No device answers: they live on the server, and there is none without a network.";
export const sender = ": sender";
export const byTheBook = ", by the book";
export const cameraSimulatedTheHoseIs = (which: Shown, which2: Shown) =>
  `Camera, simulated: the hose is ${which} the drain; valve ${which2}`;
export const cameraSimulated = "camera, simulated";
export const theHoseIsOverA = "The hose is over a dump place, and I see it";
export const openWhileYouHold = "Open while you hold";
export const holdToOpenTheDump = "Hold to open the dump valve";
export const simulated = "Simulated:";
export const open = "open";
export const shut = "shut";
export const inTheTankLetGo = "in the tank. Let go and it shuts.";
export const over = "over";
export const beside = "beside";
