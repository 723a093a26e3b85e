import { describeCodeFinding } from "./codeFindings";
import { describeDumpFinding } from "./dumpFindings";
import { describeGearFinding } from "./gearFindings";
import { describeHeadsFinding } from "./headsFindings";
import { describeHullFinding } from "./hullFindings";
import { describeJointFinding } from "./jointFindings";
import { fitWords } from "./tellFinding";

// The words of the areas whose checks come with `core/evaluate/fitted`.
fitWords({
  gear: describeGearFinding,
  heads: describeHeadsFinding,
  hull: describeHullFinding,
  dump: describeDumpFinding,
  joints: describeJointFinding,
  codes: describeCodeFinding,
});
