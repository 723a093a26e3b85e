import { fitMeetAir } from "../air/meetAir";
import { meetAir } from "../air/meeting";
import { fitSkin } from "../fit/tankHinders";
import { listPumpedDrains } from "../heads/pumpedDrains";
import { listHullBlocks } from "../hull/hullBlocks";
import { fitDomains } from "./domains";
import { fitFindings } from "./findingRegistry";
import { FITTED_CHECKS } from "./fittedChecks";
import { FITTED_FINDINGS } from "./fittedFindings";
import { fitPumped } from "./pumped";

// The pumped side, skin fittings, heads, hull and dump lines: most vans have none of it, and need not wait for it to be loaded.
fitFindings(FITTED_FINDINGS);
fitDomains(FITTED_CHECKS);
fitSkin(listHullBlocks);
fitPumped(listPumpedDrains);
fitMeetAir(meetAir);
