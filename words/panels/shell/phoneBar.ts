export const views = "Views";
export const findings = "Findings";
export const measures = "Measures";
