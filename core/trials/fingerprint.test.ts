import { ALL_DEMOS, type DemoName, readOldText } from "@/tests/demoRigs";
import type { Drain } from "../design/plumbing";
import { readDesignText } from "../design/readDesign";
import { isTriedOn, takeFingerprint } from "./fingerprint";

// What the program of version 8 wrote down when a trial of that drain was held.
test.each<[DemoName, string, string]>([
  ["kranich", "sink-drain", "hgryjy"],
  ["lesesaal", "sink-drain", "16o8lzb"],
  ["puppenwagen", "sink-drain", "1kfh3n8"],
  ["otter", "sink-drain", "11gw06q"],
  ["lesesaal-furnished", "kitchensink-drain", "2yuxeg"],
  ["lesesaal-furnished", "basin-drain", "cpvf2o"],
  ["lesesaal-heads", "gravitytoilet-drain", "h1i5hm"],
  ["puppenwagen-heads", "urinediverter-drain", "ajqq6s"],
  ["otter-heads", "iceboxdrain-drain", "1ohio1g"],
  ["setzkasten", "basin-drain", "7pme3g"],
])("a trial that was held on %s, %s, before the file changed its form is held still", (name, drainId, word) => {
  const outcome = readDesignText(readOldText(8, name));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  for (const kind of ["trialDrain", "trialBack"])
    expect(isTriedOn(word, outcome.design, `${kind}:${drainId}`)).toBe(true);
});

test("the word is of the part and not of the order its keys were put together in", () => {
  const turn = (value: unknown): unknown =>
    typeof value === "object" && value !== null && !Array.isArray(value)
      ? Object.fromEntries(
          Object.entries(value)
            .reverse()
            .map(([key, one]) => [key, turn(one)]),
        )
      : Array.isArray(value)
        ? value.map(turn)
        : value;
  for (const design of ALL_DEMOS) {
    const turned = turn(design) as typeof design;
    for (const { id, kind } of design.lines)
      if (kind === "drain")
        expect(takeFingerprint(turned, `trialDrain:${id}`)).toBe(takeFingerprint(design, `trialDrain:${id}`));
    for (const { id } of design.tanks)
      for (const kind of ["trialTank", "trialDump"])
        expect(takeFingerprint(turned, `${kind}:${id}`)).toBe(takeFingerprint(design, `${kind}:${id}`));
  }
});

test("water of a trial runs on through every drain that is joined: a third one laid anew changes the word of the first", () => {
  const design = ALL_DEMOS.find(({ id }) => id === "lesesaal-furnished") ?? ALL_DEMOS[4]!;
  const drains = design.lines.filter((line): line is Drain => line.kind === "drain" && line.bendsMm.length > 0);
  const [third, second, first] = drains;
  const join = (drain: Drain, main: Drain): Drain => ({
    ...drain,
    to: { kind: "junction", lineId: main.id, node: main.bendsMm[0]!.id, fitting: "wye" },
  });
  const chain = [third!, join(second!, third!), join(first!, second!)];
  const read = (moved: Drain) =>
    takeFingerprint({ ...design, lines: [moved, ...chain.slice(1)] }, `trialDrain:${first!.id}`);
  const laidAnew = { ...third!, bendsMm: third!.bendsMm.map((at) => ({ ...at, z: at.z - 5 })) };
  expect(read(laidAnew)).not.toBe(read(third!));
  expect(read({ ...third! })).toBe(read(third!));
});

test("ids of points are no part of the word: a course that is read anew is the course that was tried", () => {
  let told = 0;
  for (const design of ALL_DEMOS) {
    const named = {
      ...design,
      lines: design.lines.map((line) =>
        line.kind === "drain"
          ? { ...line, bendsMm: line.bendsMm.map((at, i) => ({ ...at, id: `other${i}` })) }
          : { ...line, pointsMm: line.pointsMm.map((at, i) => ({ ...at, id: `other${i}` })) },
      ),
    };
    const joined = new Set(design.lines.flatMap(({ to }) => ("lineId" in to ? [to.lineId] : [])));
    for (const line of design.lines) {
      // what others join is found by the id of its point
      if (line.kind === "drain" || joined.has(line.id) || "lineId" in line.to) continue;
      const kind = { vent: "trialDump", dumpLine: "trialDump", hose: "trialHoses" }[line.kind];
      const id = line.kind === "hose" ? line.id : line.fromTank;
      expect(takeFingerprint(named as typeof design, `${kind}:${id}`)).toBe(takeFingerprint(design, `${kind}:${id}`));
      told += 1;
    }
  }
  expect(told).toBeGreaterThan(20);
});
