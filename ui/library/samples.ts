/** The sample rigs, by the names of their files in demo/. */
export const SAMPLES = ["kranich", "lesesaal", "lesesaal-furnished", "puppenwagen", "otter"] as const;
