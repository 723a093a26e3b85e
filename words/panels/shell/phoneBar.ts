export const views = "Views";
export const findings = "Findings";
export const measures = "Measures";
export const plan = "Plan";
export const level = "Level";
