export const closeTheMessage = "Close the message";
