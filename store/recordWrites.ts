import type { Database } from "./database";
import type { SlipPlace } from "./slip";

/** One thing to be put beside a design, or taken away: a record of the building and the journey, or a line of the book. */
export type RecordWrite =
  | {
      readonly store: "builds";
      readonly key: string;
      readonly value: { readonly build: unknown; readonly journey: unknown };
    }
  | { readonly store: "log"; readonly key: string; readonly designId: string; readonly entry: unknown | null };

export type RecordWrites = {
  /** Puts it into the database; it is under way until that says that it is there. */
  readonly put: (write: RecordWrite) => Promise<void>;
  /** Leaves what is under way on a slip, for a page that goes away. */
  readonly leave: () => void;
  /** Puts in what an earlier page left; what cannot be read is no work of ours. */
  readonly recover: () => Promise<void>;
};

/** What is written beside the designs, and the slip that holds it until it is kept. */
export function createRecordWrites(db: () => Promise<Database>, slip?: SlipPlace): RecordWrites {
  // the last of each is what counts
  const underWay = new Map<string, RecordWrite>();
  const put = async (write: RecordWrite) => {
    const key = `${write.store} ${write.key}`;
    underWay.set(key, write);
    await carryOut(await db(), write);
    if (underWay.get(key) === write) underWay.delete(key);
  };
  return {
    put,
    leave: () => {
      if (!slip || underWay.size === 0) return;
      try {
        slip.write(JSON.stringify([...underWay.values()]));
      } catch {
        // no room for a slip: the writes that are on their way are all there is
      }
    },
    recover: async () => {
      const left = slip ? readWrites(slip) : [];
      for (const write of left) await put(write);
      if (left.length > 0) slip?.clear();
    },
  };
}

async function carryOut(db: Database, write: RecordWrite): Promise<void> {
  if (write.store === "builds") await db.put("builds", { designId: write.key, ...write.value });
  else if (write.entry === null) await db.delete("log", write.key);
  else await db.put("log", { key: write.key, designId: write.designId, entry: write.entry });
}

function readWrites(slip: SlipPlace): RecordWrite[] {
  try {
    const list: unknown = JSON.parse(slip.read() ?? "[]");
    return Array.isArray(list) ? list.filter(isWrite) : [];
  } catch {
    return [];
  }
}

// What it carries is read through its schema when it is shown, like anything else that is kept.
function isWrite(value: unknown): value is RecordWrite {
  if (typeof value !== "object" || value === null) return false;
  const { store, key, designId, entry, value: kept } = value as Record<string, unknown>;
  if (typeof key !== "string" || key === "") return false;
  if (store === "builds") return typeof kept === "object" && kept !== null && "build" in kept;
  return store === "log" && typeof designId === "string" && typeof entry === "object";
}
