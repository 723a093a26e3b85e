import type { ReactNode } from "react";
import type { GearKind } from "@/core/design/gear";

const TAP = <path d="M4 12h14a6 6 0 0 1 6 6v4M10 12V6M5 6h10" />;

/** A small drawing of each kind of gear, in a field of 34 by 34. */
const GLYPHS: Readonly<Record<GearKind, ReactNode>> = {
  strainer: <path d="M5 6h24v12l-12 10L5 18Z M9 12l16 0M11 18l12 0M15 23l4 0" />,
  pump: (
    <>
      <circle cx="17" cy="17" r="12" />
      <path d="M12 9l15 8-15 8Z" fill="var(--ink)" />
    </>
  ),
  accumulator: (
    <>
      <rect x="8" y="4" width="18" height="26" rx="9" />
      <path d="M8 19h18M11 24h12" />
    </>
  ),
  filter: <path d="M9 4h16v26H9Z M9 10h16M13 13v14M17 13v14M21 13v14" />,
  uvLamp: (
    <>
      <rect x="4" y="11" width="26" height="12" rx="6" />
      <path d="M9 17h16M17 4v4M8 5l3 4M26 5l-3 4" />
    </>
  ),
  nonReturn: <path d="M6 8v18l18-9ZM26 7v20" />,
  valve: <path d="M5 9v16l24-16v16ZM17 17V6M12 6h10" />,
  diverter: <path d="M4 10v14l13-7ZM30 10v14l-13-7ZM10 30h14l-7-13Z" />,
  mixer: (
    <>
      <circle cx="17" cy="17" r="8" />
      <path d="M17 4v5M17 25v5M25 17h6M13 14h8M13 20h8" />
    </>
  ),
  heater: (
    <>
      <rect x="7" y="5" width="20" height="24" rx="3" />
      <path d="M12 22c0-4 3-4 3-8M19 22c0-4 3-4 3-8" />
    </>
  ),
  coupling: <path d="M4 17h8M12 10v14h4V10ZM20 10v14h4V10ZM24 17h6" />,
  flowMeter: (
    <>
      <circle cx="17" cy="17" r="12" />
      <path d="M17 17l7-7M8 25h18" />
    </>
  ),
  gauge: (
    <>
      <circle cx="17" cy="15" r="10" />
      <path d="M17 15l4-6M17 25v6" />
    </>
  ),
  airGap: <path d="M17 3v9M13 3h8M8 19l4 8h10l4-8M17 27v5" />,
  ventedLoop: <path d="M6 30V14a11 11 0 0 1 22 0v16M14 30V15a3 3 0 0 1 6 0v15M13 2h8" />,
  relief: <path d="M17 30V20l-8-6h16ZM17 14V4M13 7l8-2M13 11l8-2" />,
  tap: TAP,
  tee: <path d="M3 17h28M17 17v13" />,
  skinFitting: <path d="M20 3v28M20 12h-6v10h6M14 17H4M20 10h5v14h-5" />,
  bowl: <path d="M6 8h22c0 9-4 13-8 14v6h-6v-6C10 21 6 17 6 8Z" />,
  sump: <path d="M5 8v20h24V8M5 18h24M15 14h5v4h-5Z" />,
  deckFitting: <path d="M4 12h26M10 12v8h14v-8M17 20v10M12 6h10" />,
};

export function GearGlyph({ kind }: { readonly kind: GearKind }) {
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={1.7} strokeLinejoin="round" strokeLinecap="round" aria-hidden>
      {GLYPHS[kind]}
    </g>
  );
}
