import type { GlossaryName } from "@/words/glossary";

/** A small picture of a word, 120 by 72: what is there, the water in it, what the word means of it, and what goes wrong. */
export type WordPicture = Partial<Record<"ink" | "water" | "mark" | "faint" | "fault", string>>;

// A bend of water under a sink: several words are about a part of it.
const TRAP_INK = "M34 6v28q0 22 20 22t20-22q0-8 8-8h30M46 6v28q0 10 8 10t8-10q0-20 20-20h30";
const TRAP_WATER = "M34 30v4q0 22 20 22t20-22v-8h-12v8q0 10-8 10t-8-10v-4Z";
const RING = "M60 8a28 28 0 1 0 .1 0Z";

export const WORD_DRAWINGS: Readonly<Record<GlossaryName, WordPicture>> = {
  Accumulator: {
    ink: "M44 6h32q8 0 8 8v36q0 8-8 8H44q-8 0-8-8V14q0-8 8-8ZM60 58v10M16 68h88",
    water: "M36 38h48v12q0 8-8 8H44q-8 0-8-8Z",
    mark: "M36 38q12-7 24 0t24 0",
    faint: "M50 14v14M60 14v14M70 14v14",
  },
  "Air gap": {
    ink: "M54 4v22M66 4v22M28 46l12 20h40l12-20M16 46h12M92 46h12",
    water: "M57 26h6v32h-6ZM36 58h48l-5 8H41Z",
    mark: "M104 26v20M99 26h10M99 46h10",
  },
  "Barrier hose": { ink: `${RING}M60 22a14 14 0 1 0 .1 0Z`, mark: "M60 15a21 21 0 1 0 .1 0Z" },
  Belly: {
    ink: "M8 20Q60 60 112 24M8 32Q60 74 112 36",
    water: "M36 45Q60 56 84 44Q82 54 60 57Q40 55 36 45Z",
    mark: "M8 14v24M112 18v24",
  },
  "Black water": {
    ink: "M46 4h28v14q0 10-10 12v8h-8v-8q-10-2-10-12ZM22 38h76v28H22Z",
    water: "M22 50h76v16H22Z",
  },
  Bore: {
    ink: `${RING}M60 16a20 20 0 1 0 .1 0Z`,
    mark: "M40 36h40M46 31l-6 5 6 5M74 31l6 5-6 5",
  },
  "Breakover angle": {
    ink: "M26 46a10 10 0 1 0 .1 0ZM94 46a10 10 0 1 0 .1 0ZM12 36h96V20H12Z",
    mark: "M26 66L60 42l34 24",
    faint: "M4 66h112",
  },
  Breather: {
    ink: "M20 36h80v30H20ZM54 36V8h18M64 36V18h8",
    water: "M20 50h80v16H20Z",
    mark: "M78 13h18M90 8l6 5-6 5",
  },
  Cleanout: { ink: "M6 44h108M6 60h108M52 44V24M68 44V24", mark: "M47 14h26v10H47ZM60 14V8" },
  "Discharge coefficient": {
    ink: "M16 8v56M16 64h46v-8M62 8v34",
    water: "M16 18h46v46H16Z",
    mark: "M62 42q12 4 40 4M62 56q12-4 40-4",
  },
  Drain: {
    ink: "M8 6h40v10q0 8-8 8H16q-8 0-8-8ZM72 44h40v22H72Z",
    water: "M72 54h40v12H72Z",
    mark: "M28 24v14l52 10",
  },
  Driving: {
    ink: "M38 4v26q0 24 22 24t22-24v-6h30",
    water: "M40 38L80 22v8q0 22-20 22-18 0-20-14Z",
    mark: "M16 66h40M26 61l-10 5 10 5",
  },
  Dump: {
    ink: "M12 8h62v28H12ZM74 32h12q14 0 14 14v8M82 64h34",
    water: "M12 18h62v18H12Z",
    mark: "M100 42v18M95 54l5 6 5-6",
  },
  "Dump line": {
    ink: "M8 10h48v24H8ZM106 34v16",
    water: "M8 20h48v14H8Z",
    mark: "M56 31l50 11",
    faint: "M4 64h112",
  },
  Envelope: {
    ink: "M26 26l70-8 2 22-70 8Z",
    faint: "M24 18l70 8-2 22-70-8Z",
    mark: "M14 46q-6-12 0-24M106 46q6-12 0-24",
  },
  Fall: { ink: "M8 18l98 28", faint: "M8 18h98", mark: "M106 18v28M101 24l5-6 5 6M101 40l5 6 5-6" },
  "Fall in hand": {
    ink: "M8 10l98 48",
    faint: "M8 10l98 24",
    mark: "M106 34v24M101 40l5-6 5 6M101 52l5 6 5-6",
  },
  "Free surface": {
    ink: "M20 10h80v52H20Z",
    water: "M20 48l80-22v36H20Z",
    mark: "M52 26h36M78 21l10 5-10 5",
  },
  "Grey water": {
    ink: "M14 20h92v14q0 16-16 16H30q-16 0-16-16ZM60 50v16",
    water: "M18 30h84v4q0 13-13 13H31q-13 0-13-13Z",
    mark: "M42 14a6 6 0 1 0 .1 0ZM60 6a7 7 0 1 0 .1 0ZM78 16a5 5 0 1 0 .1 0Z",
  },
  Inlet: { ink: "M42 4h74M42 4v14M42 34v32h74", water: "M42 46h74v20H42Z", mark: "M6 18h36M6 34h36" },
  Interlock: {
    ink: "M6 42h26M54 42h12M88 42h26M32 30l22 24V30L32 54ZM66 30l22 24V30L66 54Z",
    mark: "M43 28V12M77 28V12M43 12h34",
  },
  Invert: {
    ink: "M60 4a28 28 0 1 0 .1 0Z",
    water: "M35 44q25 8 50 0A28 28 0 0 1 35 44Z",
    mark: "M34 60h52M60 60v8",
  },
  Lagging: {
    ink: "M36 20h48v32H36Z",
    mark: "M24 8h72v56H24Z",
    faint: "M26 20l10-10M44 20l10-10M62 20l10-10M80 20l10-10M26 62l10-10M44 62l10-10M62 62l10-10M80 62l10-10",
  },
  Leg: { ink: "M8 14h32M82 54h30", mark: "M40 14l42 40M40 10a4 4 0 1 0 .1 0ZM82 50a4 4 0 1 0 .1 0Z" },
  "Membrane valve": {
    ink: "M6 24h38M6 48h38M76 24h38M76 48h38",
    mark: "M44 24l32 11M44 48l32-11",
  },
  Mixer: {
    ink: "M6 20h40v32H6M114 20H74v32h40M46 20q14-10 28 0M46 52v14M74 52v14",
    water: "M46 30h28v36H46Z",
    mark: "M14 36h22M30 31l6 5-6 5M106 36H84M90 31l-6 5 6 5M60 44v18M55 57l5 5 5-5",
  },
  "Non-return valve": { ink: "M6 26h108M6 48h108", mark: "M46 26l20 22M78 37h20M92 32l6 5-6 5" },
  "P-trap": { ink: TRAP_INK, water: TRAP_WATER },
  Pitch: { ink: "M14 46l92-18V12L14 30Z", faint: "M4 62h112", mark: "M106 34q6 12 2 24" },
  "Pre-charge": {
    ink: "M26 10h34q8 0 8 8v36q0 8-8 8H26q-8 0-8-8V18q0-8 8-8ZM94 20a15 15 0 1 0 .1 0ZM68 35h11",
    mark: "M94 35l8-9",
    faint: "M30 22h26M30 32h26M30 42h26M30 52h26",
  },
  "Relief valve": {
    ink: "M6 52h108M6 66h108M46 52V34h28v18M52 34V8h16v26",
    water: "M6 53h108v12H6Z",
    mark: "M46 34h28M60 34l-7-5 14-5-14-5 14-5-7-5",
    faint: "M74 42h16M90 42v6",
  },
  Rim: {
    ink: "M8 22h14q0 32 12 36h52q12-4 12-36h14",
    water: "M24 23h72q-2 31-12 33H36q-10-2-12-33Z",
    mark: "M22 8v12M17 15l5 6 5-6M98 8v12M93 15l5 6 5-6",
  },
  "Rivet nut": {
    ink: "M6 28h38M76 28h38M6 36h38M76 36h38M44 23h32v5H44ZM50 36l-6 10h32l-6-10M52 46v18h16V46",
    mark: "M56 23v41M64 23v41",
  },
  Roll: { ink: "M34 50l54 8 6-38-54-8Z", faint: "M8 66h104", mark: "M102 34q6 14 0 28" },
  "Running trap": {
    ink: "M4 18h32q8 0 8 8v14q0 8 8 8h16q8 0 8-8V30q0-8 8-8h32M4 30h24q4 0 4 4v10q0 16 16 16h24q16 0 16-16v-6q0-4 4-4h24",
    water: "M32 38h12v2q0 8 8 8h16q8 0 8-8v-2h12v6q0 16-16 16H48q-16 0-16-16Z",
  },
  "S-trap": {
    ink: "M22 4v26q0 22 20 22t20-22q0-14 12-14t12 14v38M34 4v26q0 10 8 10t8-10q0-26 24-26t24 26v38",
    water: "M22 30q0 22 20 22t20-22H50q0 10-8 10t-8-10Z",
    fault: "M92 44v18M87 56l5 6 5-6",
  },
  Seacock: {
    ink: "M6 50q54 14 108 0M48 54V36h24v20M60 36V6",
    water: "M6 54q54 14 108 0v16H6Z",
    mark: "M60 18a6 6 0 1 0 .1 0ZM66 24h30",
  },
  Seal: { ink: TRAP_INK, water: TRAP_WATER, mark: "M20 28v16M15 28h10M15 44h10" },
  "Secured valve": {
    ink: "M6 46h36M78 46h36M42 34l36 24V34L42 58ZM60 46V26",
    mark: "M50 12h20v14H50ZM54 12q0-8 6-8t6 8",
  },
  "Self-cleansing": {
    ink: "M6 18h108M6 52h108",
    water: "M6 34h108v18H6Z",
    mark: "M30 26h40M60 21l10 5-10 5",
    fault: "M36 47h4M60 45h4M84 47h4",
  },
  Sender: {
    ink: "M18 10h84v54H18Z",
    water: "M18 38h84v26H18Z",
    mark: "M60 4v52M53 22h14M53 38h14M53 54h14",
  },
  Siphonage: {
    ink: "M18 4v24q0 20 18 20t18-20q0-10 10-10h12v50M30 4v24q0 8 6 8t6-8q0-22 22-22h24v62",
    water: "M76 18h12v50H76Z",
    fault: "M36 46V32M31 38l5-6 5 6",
  },
  "Skin fitting": {
    ink: "M50 4v24M50 44v24M60 4v24M60 44v24",
    water: "M6 10h40v54H6Z",
    mark: "M45 22v28M50 28h48M50 44h48",
  },
  Standing: {
    ink: "M18 34l78-10V8L18 18ZM4 54l112-14",
    mark: "M50 58h28q5 0 5 5t-5 5H50q-5 0-5-5t5-5ZM68 63h6",
  },
  Tandem: {
    ink: "M10 10h86v28H10ZM42 46a10 10 0 1 0 .1 0ZM68 46a10 10 0 1 0 .1 0ZM96 32l20 8",
    faint: "M4 66h112",
  },
  "Tee and wye": {
    ink: "M6 46h46M6 58h46M23 46V12M35 46V12M66 46h50M66 58h50M92 46L72 12M106 46L86 12",
    mark: "M82 20l14 26 12 6",
    fault: "M29 20v30M29 52H13M18 47l-5 5 5 5",
  },
  Trap: { ink: TRAP_INK, water: TRAP_WATER, fault: "M100 20H84M90 15l-6 5 6 5" },
  "Trap arm": {
    ink: "M12 4v22q0 18 16 18t16-18q0-4 4-4h58M106 4v40",
    water: "M12 26q0 18 16 18t16-18H34q0 8-6 8t-6-8Z",
    mark: "M44 58h62M50 53l-6 5 6 5M100 53l6 5-6 5",
  },
  Usable: {
    ink: "M20 6h72v58H20Z",
    water: "M20 16h72v36H20Z",
    faint: "M20 16h72M20 52h72",
    mark: "M104 16v36M99 16h10M99 52h10",
  },
  "Vented loop": {
    ink: "M20 68V34q0-22 22-22h36q22 0 22 22v34M34 68V34q0-8 8-8h36q8 0 8 8v34",
    mark: "M53 12V4h14v8",
    water: "M4 52h112v16H4Z",
  },
  Weir: { ink: TRAP_INK, water: TRAP_WATER, mark: "M68 26h14M75 26a1 1 0 1 0 .1 0M75 18v16" },
};
