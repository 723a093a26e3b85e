import type { Proof } from "@/core/trials/proof";

const LOOKS: Readonly<Record<Proof, { readonly fill: string; readonly rim: string; readonly sign: string | null }>> = {
  held: { fill: "var(--ink)", rim: "var(--ink)", sign: "M-3.6 0.4L-1 3.2L3.8 -3" },
  ticked: { fill: "var(--sheet)", rim: "var(--ink)", sign: "M-3.6 0.4L-1 3.2L3.8 -3" },
  changed: { fill: "var(--sheet)", rim: "var(--warn)", sign: "M0 -4.4V1M0 3.4V4.4" },
  leaks: {
    fill: "var(--signal)",
    rim: "var(--signal)",
    sign: "M0 -4.2C2.2 -1 3.2 0.4 3.2 1.8a3.2 3.2 0 0 1 -6.4 0C-3.2 0.4 -2.2 -1 0 -4.2Z",
  },
  open: { fill: "var(--sheet)", rim: "var(--ink)", sign: null },
};

/** How far something is proven, told by its shape: full with a tick, ringed with a tick, a call, a drop, an empty ring. */
export function ProofMark({ proof, at: [x, y] }: { readonly proof: Proof; readonly at: readonly [number, number] }) {
  const { fill, rim, sign } = LOOKS[proof];
  return (
    <g transform={`translate(${x} ${y})`} className="pointer-events-none" data-proof={proof}>
      <circle r={8} fill={fill} stroke={rim} strokeWidth={1.8} />
      {sign &&
        (proof === "leaks" ? (
          <path d={sign} fill="var(--sheet)" />
        ) : (
          <path
            d={sign}
            fill="none"
            stroke={proof === "held" ? "var(--sheet)" : proof === "changed" ? "var(--warn)" : "var(--ink)"}
            strokeWidth={1.8}
            strokeLinecap="round"
          />
        ))}
    </g>
  );
}
