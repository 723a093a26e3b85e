import type { LineItem } from "./plumbing";
/** Where a fault stands in a file: keys and indexes from the top. */
export type FaultPath = readonly (string | number)[];

/** Why a file or a changed design is refused. Data only: the sentences are in `words/`. */
export type Fault =
  | { readonly code: "notJson"; readonly path: FaultPath }
  | { readonly code: "tooLarge"; readonly path: FaultPath; readonly bytes: number; readonly most: number }
  | { readonly code: "tooDeep"; readonly path: FaultPath; readonly most: number }
  | { readonly code: "forbiddenKey"; readonly path: FaultPath; readonly key: string }
  | { readonly code: "notOurs"; readonly path: FaultPath }
  | { readonly code: "newerVersion"; readonly path: FaultPath; readonly found: number; readonly newest: number }
  | { readonly code: "unknownVersion"; readonly path: FaultPath }
  | { readonly code: "missing"; readonly path: FaultPath }
  | { readonly code: "wrongType"; readonly path: FaultPath; readonly expected: string }
  | { readonly code: "notOneOf"; readonly path: FaultPath; readonly options: readonly string[] }
  | { readonly code: "tooSmall"; readonly path: FaultPath; readonly least: number; readonly what: FaultMeasure }
  | { readonly code: "tooBig"; readonly path: FaultPath; readonly most: number; readonly what: FaultMeasure }
  | { readonly code: "badText"; readonly path: FaultPath }
  | { readonly code: "unknownKeys"; readonly path: FaultPath; readonly keys: readonly string[] }
  | { readonly code: "duplicateId"; readonly path: FaultPath; readonly id: string }
  | { readonly code: "danglingReference"; readonly path: FaultPath; readonly id: string }
  | { readonly code: "wrongPortKind"; readonly path: FaultPath; readonly id: string; readonly wanted: string }
  | { readonly code: "portTaken"; readonly path: FaultPath; readonly id: string }
  | { readonly code: "joinsNoBend"; readonly path: FaultPath; readonly id: string; readonly bends: number }
  | { readonly code: "waysTooLong"; readonly path: FaultPath; readonly legs: number; readonly most: number }
  | { readonly code: "drainLoop"; readonly path: FaultPath; readonly id: string }
  | { readonly code: "ventWithoutEnd"; readonly path: FaultPath }
  | { readonly code: "dumpWithoutEnd"; readonly path: FaultPath }
  | { readonly code: "drainIntoFresh"; readonly path: FaultPath; readonly id: string }
  | { readonly code: "linkedWaters"; readonly path: FaultPath; readonly id: string }
  | { readonly code: "atNoBend"; readonly path: FaultPath; readonly bends: number }
  | { readonly code: "twoAtBend"; readonly path: FaultPath; readonly what: LineItem["kind"] }
  | { readonly code: "locked"; readonly path: FaultPath; readonly name: string }
  | { readonly code: "portOutsideTank"; readonly path: FaultPath }
  | {
      readonly code: "fittingLargerThanTank";
      readonly path: FaultPath;
      readonly boreMm: number;
      readonly roomMm: number;
    }
  | { readonly code: "pipeWithoutWall"; readonly path: FaultPath }
  | { readonly code: "profileCrossesItself"; readonly path: FaultPath; readonly edges: readonly [number, number] }
  | { readonly code: "profileWithoutArea"; readonly path: FaultPath }
  /** Sections that do not go from stern to bow, or that cross themselves on the way from keel to sheer. */
  | { readonly code: "sectionsCross"; readonly path: FaultPath; readonly section: number; readonly isOrder: boolean }
  | { readonly code: "belowGround"; readonly path: FaultPath; readonly zMm: number; readonly groundZMm: number }
  | { readonly code: "unknownLimit"; readonly path: FaultPath; readonly id: string };

export type FaultMeasure = "number" | "text" | "list";
