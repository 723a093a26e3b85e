export const aNewerVersionIsReady = "A newer version is ready.";
export const reloadIntoIt = "Reload into it";
