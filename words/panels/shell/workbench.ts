export const theTopLine = "The top line";
export const thisSheet = "This sheet";
export const dropADesignHereTo = "Drop a design here to open it";
export const schleuseCouldNotStartIn =
  "Schleuse could not start in this browser. Reload the page; if it happens again, use another browser.";
export const openingYourDesign = "Opening your design";
