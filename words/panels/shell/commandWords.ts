/** Other words people look for a command by, by its id. */
export const COMMAND_WORDS: Readonly<Record<string, readonly string[]>> = {
  palette: ["palette", "help"],
  designs: ["file", "remove", "trash", "bin", "sample", "help", "load"],
  waterway: ["diagram", "overview", "schematic", "print"],
  sums: ["formula", "calculator", "reckon", "compute"],
  handbook: ["glossary", "explain", "what is", "limits", "sources", "safety", "help"],
  new: ["begin", "start", "help", "wizard", "create"],
  save: ["export", "backup", "download", "share"],
  bend: ["erase", "take out"],
  keys: ["help", "hotkeys", "how"],
  toilet: ["wc", "heads", "black water", "sewage", "cassette", "composting", "urine"],
  deleteFixture: ["remove", "sink", "shower", "take out"],
};
