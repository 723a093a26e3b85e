export const whatRoadShows = "What Road shows";
export const journey = "Journey";
