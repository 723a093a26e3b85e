import { memo } from "react";

/**
 * The legend of our own: each kind of water and ground is a pattern first and a colour second, so that it reads in
 * greyscale. Grey water lies in broken level lines, black in
 * whole ones, fresh in waves; ground in slanted strokes, heat in crosses.
 */
export const Hatches = memo(function Hatches({ id }: { readonly id: string }) {
  return (
    <defs>
      <pattern id={`${id}-grey`} width="10" height="6" patternUnits="userSpaceOnUse">
        <rect width="10" height="6" fill="var(--water)" fillOpacity="0.22" />
        <path d="M0 1.5h6M5 4.5h5M0 4.5h1" stroke="var(--water)" strokeWidth="1.1" />
      </pattern>
      <pattern id={`${id}-black`} width="10" height="6" patternUnits="userSpaceOnUse">
        <rect width="10" height="6" fill="var(--edge)" fillOpacity="0.5" />
        <path d="M0 1.5h10M0 4.5h10" stroke="var(--ink)" strokeWidth="1" />
      </pattern>
      <pattern id={`${id}-fresh`} width="14" height="8" patternUnits="userSpaceOnUse">
        <path d="M0 4q3.5 -3 7 0t7 0" fill="none" stroke="var(--water)" strokeWidth="1" />
      </pattern>
      <pattern id={`${id}-ground`} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0v9" stroke="var(--edge)" strokeWidth="1.2" />
      </pattern>
      <pattern id={`${id}-floor`} width="22" height="5" patternUnits="userSpaceOnUse">
        <rect width="22" height="5" fill="var(--rule)" fillOpacity="0.55" />
        <path d="M0 2.5h15" stroke="var(--edge)" strokeWidth="0.7" />
      </pattern>
      <pattern id={`${id}-solid`} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <rect width="6" height="6" fill="var(--rule)" fillOpacity="0.4" />
        <path d="M0 0v6" stroke="var(--edge)" strokeWidth="0.8" />
      </pattern>
      <pattern id={`${id}-hot`} width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--rule)" fillOpacity="0.4" />
        <path d="M0 0l7 7M7 0L0 7" stroke="var(--warn)" strokeWidth="0.8" />
      </pattern>
      <pattern id={`${id}-fuel`} width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--rule)" fillOpacity="0.4" />
        <circle cx="3" cy="3" r="1" fill="var(--edge)" />
      </pattern>
    </defs>
  );
});

const HOLLOW = new Set(["cabinet", "window", "airIntake"]);
const HATCH_OF: Readonly<Record<string, string>> = { exhaust: "hot", fuelTank: "fuel" };

/** The hatch of an obstacle, by its kind; what a pipe may run in, and what is only an opening, is hollow. */
export const toObstacleFill = (id: string, kind: string): string =>
  HOLLOW.has(kind) ? "none" : `url(#${id}-${HATCH_OF[kind] ?? "solid"})`;
