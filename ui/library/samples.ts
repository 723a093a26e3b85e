/** The sample rigs, by the names of their files in demo/. */
export const SAMPLES = [
  "kranich",
  "kranich-loop",
  "lesesaal",
  "lesesaal-furnished",
  "lesesaal-loop",
  "lesesaal-heads",
  "puppenwagen",
  "puppenwagen-heads",
  "otter",
  "otter-heads",
  "setzkasten",
] as const;
