import type { Design } from "../design/design";
import type { Evaluation } from "../evaluate/evaluation";
import type { Finding } from "../evaluate/findings";
import { listCandidates } from "./proposals";
import { proveRemedies } from "./proveRemedies";
import type { ProvenRemedy } from "./remedy";

/**
 * Remedies for a finding that have been tried on the design, as of `proveRemedies`. An empty list means that nothing simple helps.
 */
export const proposeRemedies = (design: Design, evaluation: Evaluation, finding: Finding): ProvenRemedy[] =>
  proveRemedies(design, evaluation, finding, listCandidates(design, finding));
