import type { Records } from "@/core/record/file";
import type { Database, DatabaseEvent } from "./database";
import type { SlipPlace } from "./slip";

/** What the session needs of the world; tests hand in their own. */
export type SessionWorld = {
  readonly open: (onEvent: (event: DatabaseEvent) => void) => Promise<Database>;
  readonly now: () => number;
  readonly readSample: (name: string) => Promise<string>;
  readonly download: (name: string, text: string) => void;
  /** What is kept beside a design, to go into its file and to come out of it. */
  readonly records?: {
    readonly read: (designId: string) => Promise<Records>;
    readonly adopt: (designId: string, records: Records) => Promise<void>;
  };
  /** Asks the browser not to clear the store when room is short. */
  readonly persist?: () => void;
  /** Where unsaved work is noted when the page goes away. */
  readonly slip?: SlipPlace;
  /** How many designs the store held when it was last looked at, outside of the store. */
  readonly held?: { readonly read: () => number; readonly write: (count: number) => void };
};
