import type { Shown } from "../../shown";

export const howTheStayIsLived = "How the stay is lived";
export const takeOutOfTheStay = (name: Shown) => `Take ${name} out of the stay`;
export const days = (name: Shown) => `${name}, days`;
export const thenIt = "Then";
export const thenLive = "Then live";
