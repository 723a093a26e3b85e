export const measuredBelow = "Measured below";
export const soldAs = "Sold as";
