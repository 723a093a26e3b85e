import type { Finding } from "../evaluate/findings";

const HITS = ["legHitsObstacle", "legInPart", "pipesClash", "tankHitsObstacle", "tanksClash", "gearClashes"] as const;

/** What is found of things that take the same room: it has a spot, and is marked in the drawings (`collisions`). */
export type Hit = Extract<Finding, { readonly code: (typeof HITS)[number] }>;

export const isHit = (finding: Finding): finding is Hit => (HITS as readonly string[]).includes(finding.code);
