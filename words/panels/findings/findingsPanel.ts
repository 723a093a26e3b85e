export const findings = "Findings";
export const itDrainsUprightTrimmedAnd = "It drains upright, trimmed and heeled as far as you set.";
export const itDrainsLevelAndWherever = "It drains level and wherever it is parked.";
export const and = "and";
export const moreLikeIt = "more like it";
export const seeIt = "See it";
