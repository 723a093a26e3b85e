export const searchCommands = "Search commands";
export const commands = "Commands";
export const whatWouldYouLikeTo = "What would you like to do?";
export const nothingIsCalledThatTry = "Nothing is called that. Try one word: tank, drain, breather, file, undo.";
export const open = "Open";
export const sampleRig = "Sample rig";
