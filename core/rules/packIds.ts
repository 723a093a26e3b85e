export const PACK_IDS = [
  "builders",
  "usModelCode",
  "usManufacturedHomes",
  "england",
  "germany",
  "australiaNewZealand",
] as const;
export type PackId = (typeof PACK_IDS)[number];
