export const whatRoadShows = "What Road shows";
export const journey = "Journey";
export const now = "Now";
export const care = "Care";
