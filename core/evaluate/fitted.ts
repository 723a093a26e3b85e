import { checkAboard } from "./checkAboard";
import { checkBowlHoses } from "./checkBowlHoses";
import { checkFittings } from "./checkFittings";
import { checkGear } from "./checkGear";
import { checkHeads } from "./checkHeads";
import { checkHull } from "./checkHull";
import { checkSeaInlets } from "./checkSeaInlets";
import { checkSumps } from "./checkSumps";
import { checkThrough } from "./checkThrough";
import { fitDomains } from "./domains";

// The pumped side, skin fittings, heads and hull: most vans have none of it, and need not wait for it to be loaded.
fitDomains({
  gear: ({ design }) => checkGear(design),
  through: ({ design }) => [...checkThrough(design), ...checkSeaInlets(design)],
  fittings: ({ design }) => checkFittings(design),
  hull: ({ design }) => checkHull(design),
  heads: ({ design }) => [
    ...checkHeads(design),
    ...checkBowlHoses(design),
    ...checkSumps(design),
    ...checkAboard(design),
  ],
});
