import type { Shown } from "../../shown";

export const theFileCouldNotBe = "The file could not be made. Reload the page and try again.";
export const templatesAndOrder = "Templates and order";
export const sideFromOutside = "Side, from outside";
export const outside = "Outside";
export const noHoleInIt = ", no hole in it.";
export const aHoleStandsBackFrom = " A hole stands back from this side: on the slope it is longer than drawn.";
export const theDashedRingIs =
  " The dashed ring is the bore: never cut by it. A full ring is the hole for a thread; a plain fitting or a grommet has its own.";
export const paper = "Paper";
export const writingThePages = "Writing the pages";
export const stop = "Stop";
export const inFullSizeItTakes = "In full size it takes";
export const pagesTooManyToGlue = "pages: too many to glue. Take the SVG or DXF to a print shop.";
export const fullSizePdf = "Full-size PDF,";
export const page = "page";
export const pages = "pages";
export const lying = " lying";
export const allSidesSvg = "All sides, SVG";
export const allSidesDxf = "All sides, DXF";
export const orderSheetPdf = "Order sheet, PDF";
export const printAt100NotFitted =
  "Print at 100 %, not fitted to the page, and measure the ruler at the foot before you cut.";
export const ofTheTankWithIts = (faceNames: Shown) => `${faceNames} of the tank with its holes`;
export const usLetter = "US Letter";
