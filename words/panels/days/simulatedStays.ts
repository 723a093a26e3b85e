export const livingThroughTheStays = "Living through the stays";
export const liveThrough10000Stays = "Live through 10,000 stays";
