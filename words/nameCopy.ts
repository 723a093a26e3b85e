import type { Design } from "@/core/design/design";

/** What a copy is called: the name, with the next number that is free. */
export function nameCopy(design: Pick<Design, "fixtures">, name: string): string {
  const base = name.replace(/ \d+$/, "").slice(0, 70);
  const taken = new Set(design.fixtures.map((fixture) => fixture.name));
  let nth = 2;
  while (taken.has(`${base} ${nth}`)) nth += 1;
  return `${base} ${nth}`;
}
