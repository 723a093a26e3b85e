export const theBrowserHadLostThis = "The browser had lost this design from its store; it is kept there again.";
export const itCouldBeKeptNow = "It could be kept now.";
