/** The sample rigs, by the names of their files in demo/. */
export const SAMPLES = [
  "kranich",
  "kranich-loop",
  "lesesaal",
  "lesesaal-furnished",
  "lesesaal-loop",
  "puppenwagen",
  "otter",
  "otter-heads",
] as const;
