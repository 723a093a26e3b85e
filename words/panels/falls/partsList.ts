export const thePartsAreCopiedPaste = "The parts are copied; paste them into a list or a mail.";
export const thisBrowserDoesNotLet = "This browser does not let the list be copied. Select it and copy it by hand.";
export const partsToBuy = "Parts to buy";
export const copy = "Copy";
export const pipeWithATenthOver =
  "Pipe with a tenth over for cutting; bends to the nearest angle sold. Unions, clips and cement are not counted.";
