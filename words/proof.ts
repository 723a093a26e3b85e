import type { Proof } from "@/core/trials/proof";

export const PROOF_NAMES: Readonly<Record<Proof, string>> = {
  held: "Held",
  ticked: "Ticked, no readings",
  leaks: "Leaks",
  open: "Not tried",
  changed: "Held, but drawn anew since",
};

/** In one line how far the rig is proven, the worst first. */
export function describeProofs(proofs: readonly Proof[]): string {
  if (proofs.length === 0) return "Nothing to try yet.";
  const count = (proof: Proof) => proofs.filter((one) => one === proof).length;
  const [leaks, open, ticked, held] = [count("leaks"), count("open"), count("ticked"), count("held")];
  const changed = count("changed");
  if (held === proofs.length) return "Every trial held. Close up.";
  return [
    leaks > 0 ? `${leaks === 1 ? "One trial" : `${leaks} trials`} showed a leak: mend it, then try again.` : null,
    `${held} of ${proofs.length} trials held${ticked > 0 ? `, ${ticked} ticked without readings` : ""}.`,
    changed > 0
      ? `${changed === 1 ? "One held" : `${changed} held`} before the part was changed: try ${changed === 1 ? "it" : "them"} again.`
      : null,
    open > 0 ? "Close nothing up that was not tried." : null,
  ]
    .filter(Boolean)
    .join(" ");
}
