import type { Database } from "./database";
import { ANSWER_MS } from "./keeper";
import { SILENT, withinTime } from "./withinTime";

/** Notes where to begin next time; a store that cannot keep even this has been told of already. */
export async function rememberLast(db: Database | null, id: string): Promise<void> {
  try {
    if (db) await withinTime(db.put("settings", id, "last"), ANSWER_MS);
  } catch {
    // the design itself is what matters
  }
}

/** The id of the design last worked on; what is found there is anything but sure to be one. */
export async function readLast(db: Database | null): Promise<unknown> {
  try {
    const last = db ? await withinTime(db.get("settings", "last"), ANSWER_MS) : undefined;
    return last === SILENT ? undefined : last;
  } catch {
    return undefined;
  }
}
