export const startTheWatch = "Start the watch";
export const stop = "Stop";
