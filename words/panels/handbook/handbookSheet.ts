import type { Shown } from "../../shown";

export const handbook = "Handbook";
export const theWordsTheFiguresThis =
  "The words, the figures this application goes by, and how far each can be trusted.";
export const partsOfTheHandbook = "Parts of the handbook";
export const searchTheWords = "Search the words";
export const searchSealVentInvert = "Search: seal, vent, invert…";
export const inTheDrawingsNow = "In the drawings now:";
export const also = "also";
export const noWordLikeThatHere = "No word like that here.";
export const pack = "Pack";
export const limit = "limit";
export const figure = "figure";
export const from = "from";
export const fromMemorySure = (surePercent: Shown) => `, from memory, ${surePercent} % sure`;
export const withAir = "with air:";
export const yourOwnFiguresGoFirst = "Your own figures go first: Rig, Rules.";
export const howFarAFigureCan = "How far a figure can be trusted";
export const cautions = "Cautions";
export const words = "Words";
export const rules = "Rules";
export const sums = "Sums";
export const none = "none";
export const upToBore = (bore: string, figure: string) => `to ${bore}: ${figure}`;
