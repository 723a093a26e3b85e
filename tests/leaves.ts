import type { Design } from "@/core/design/design";
import { parseChanged } from "@/core/design/parseDesign";

/** One value of a design that is no list and no object, with the way to it and the same without places in lists. */
export type Leaf = {
  readonly path: readonly (string | number)[];
  readonly pattern: string;
  readonly value: unknown;
};

/** Every value a file can say, in the order of the file; patterns tell kinds apart, as in gear.spec<pump>.watts. */
export function listLeaves(value: unknown, path: readonly (string | number)[] = [], pattern = ""): Leaf[] {
  if (typeof value !== "object" || value === null) return [{ path, pattern, value }];
  return Object.entries(value).flatMap(([key, one]) => {
    const isPlace = Array.isArray(value);
    const name = isPlace ? pattern : `${pattern}${pattern === "" ? "" : "."}${key}`;
    return listLeaves(one, [...path, isPlace ? Number(key) : key], `${name}${tellKind(one)}`);
  });
}

const tellKind = (value: unknown): string =>
  typeof value === "object" && value !== null && "kind" in value && typeof value.kind === "string"
    ? `<${value.kind}>`
    : "";

/** The same with another value there; what is not on the way to it stays the same object. */
export function setLeaf<T>(root: T, path: readonly (string | number)[], value: unknown): T {
  const [key, ...rest] = path;
  if (key === undefined) return value as T;
  if (Array.isArray(root)) return root.map((one, i) => (i === key ? setLeaf(one, rest, value) : one)) as T;
  return { ...root, [key]: setLeaf((root as Record<string | number, unknown>)[key], rest, value) };
}

/** A design with another value there, as an edit would leave it; null where it is refused. */
export function changeLeaf(design: Design, path: readonly (string | number)[], value: unknown): Design | null {
  const changed = setLeaf(design, path, value);
  return parseChanged(design, changed).ok ? changed : null;
}

/** What the first other value that is taken makes of it: of a number one near, of a switch the other, of a word another of its list. */
export function tryOther<T>(
  value: unknown,
  take: (other: unknown) => T | null,
  lists: readonly (readonly string[])[] = [],
): T | null {
  for (const other of listOthers(value, lists)) {
    const taken = take(other);
    if (taken !== null) return taken;
  }
  return null;
}

function listOthers(value: unknown, lists: readonly (readonly string[])[]): readonly unknown[] {
  if (typeof value === "boolean") return [!value];
  if (typeof value === "string")
    return lists.flatMap((words) => (words.includes(value) ? words.filter((word) => word !== value) : []));
  if (typeof value !== "number") return [];
  // some fields take whole numbers only, some shares, some only what stands under another; then farther off
  return [value + 7, value - 7, value + 1, value - 1, value * 1.1, value * 0.9, value * 3 + 50, value / 2, value / 20];
}
