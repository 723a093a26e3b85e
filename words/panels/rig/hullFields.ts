export const readOffsets = "Read offsets";
export const tableOfOffsetsAsCsv = "Table of offsets as CSV";
export const hull = "Hull";
export const byItsSectionsTheHull =
  "By its sections the hull says where a fitting sits, how much room a tank has, and how deep she lies.";
export const beginWithARoundBilge = "Begin with a round bilge";
export const madeOf = "Made of";
export const thickness = "Thickness";
export const section = "Section";
export const fromTheAfterEdgeOf = "From the after edge of the sole";
export const sectionBeforeIt = "Section before it";
export const thisSection = "This section";
export const noHull = "No hull";
export const sectionAt = (number: number, length: string) => `${number}, at ${length}`;
