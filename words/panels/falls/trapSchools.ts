export const theKindsSideBySide = "The kinds side by side on this rig";
export const height = "height";
export const inHand = "in hand";
export const driven = "driven";
export const dryWeeks = "dry, weeks";
export const never = "never";
export const eachAsSoldInHand =
  "Each as sold; in hand at the worst standing, driven: what a hard corner leaves of the seal.";
export const neverTheTanksOnlyProtection = "Never the tank's only protection.";
