import { spawnSync } from "node:child_process";
import { readDemoText } from "@/tests/demoRigs";
import { NOTHING_PUMPED } from "@/words/interlock";
import { runCli } from "./main";

const read = (path: string): string => {
  if (path.startsWith("demo:")) return readDemoText(path.slice(5) as "kranich");
  if (path === "junk") return "{";
  throw new Error("ENOENT");
};

test("a clean rig ends with 0, one with a must ends with 1 and names what to do", () => {
  expect(runCli(["check", "demo:kranich"], read)).toMatchObject({ code: 0, err: "" });
  const lesesaal = runCli(["check", "demo:lesesaal"], read);
  expect(lesesaal.code).toBe(1);
  expect(lesesaal.out).toMatch(/MUST {2}Sink drain, leg 3 runs backwards, nose down 3°, left low 2°/);
  expect(lesesaal.out).toMatch(/- Hang Grey tank 33\u00a0mm lower/);
});

test("an unreadable file ends with 2 and one line that says why", () => {
  for (const args of [
    ["check", "junk"],
    ["check", "gone"],
    ["check"],
    ["check", "demo:otter", "--pitch", "90"],
    ["fly"],
  ]) {
    const { code, out, err } = runCli(args, read);
    expect(code).toBe(2);
    expect(out).toBe("");
    expect(err.trim().length).toBeGreaterThan(10);
  }
  expect(runCli(["check", "junk"], read).err.trim().split("\n")).toHaveLength(1);
});

test("--json gives the whole evaluation with remedies and workings", () => {
  const { out, code } = runCli(["check", "demo:lesesaal", "--json", "--pitch", "-1"], read);
  const json = JSON.parse(out);
  expect(code).toBe(1);
  expect(json.attitude).toEqual({ pitchDeg: -1, rollDeg: 0 });
  expect(json.findings[0].remedies[0].edit.code).toBe("lowerTank");
  expect(json.workings.map((w: { formula: string }) => w.formula)).toContain("fallInHand");
  expect(json.drains[0].here.inHandMm).toBeGreaterThan(0);
});

test("days: every tank with its litres, its days and how they are known; the same seed says the same", () => {
  const ask = (...more: string[]) => runCli(["days", "demo:kranich", "--json", "--journeys", "500", ...more], read);
  const { out, code } = ask("--days", "10");
  const json = JSON.parse(out);
  expect(code).toBe(0);
  expect(json.stores.map((s: { holds: string; method: string }) => [s.holds, s.method])).toEqual([
    ["fresh", "exact"],
    ["grey", "simulated"],
  ]);
  for (const { chanceByDay, dayAt, meanLPerDay, roomL } of json.stores) {
    expect(chanceByDay).toHaveLength(10);
    expect(meanLPerDay).toBeGreaterThan(0);
    expect(dayAt.p10).toBeLessThanOrEqual(Math.ceil(roomL / meanLPerDay));
  }
  expect(ask("--days", "10").out).toBe(out);
  const worst = JSON.parse(ask("--standing", "worst").out).stores;
  expect(worst[1].roomL).toBeLessThan(json.stores[1].roomL);
  expect(runCli(["days", "demo:kranich"], read).out).toMatch(/ends the stay/);
  for (const bad of [
    ["--days", "0"],
    ["--seed", "x"],
    ["--journeys", "2e9"],
    ["--standing", "moon"],
  ]) {
    expect(runCli(["days", "demo:kranich", ...bad], read)).toMatchObject({ code: 2, out: "" });
  }
});

test("the schema describes a design and its bounds", () => {
  const schema = JSON.parse(runCli(["schema"], read).out);
  expect(schema.$schema).toContain("2020-12");
  expect(schema.properties.habits.properties.people.items.properties.count).toMatchObject({
    type: "integer",
    minimum: 1,
  });
  expect(schema.required).toContain("version");
});

test("imperial, an attitude, and help", () => {
  const imperial = runCli(["check", "demo:kranich", "--imperial", "--pitch", "-2", "--roll", "1.5"], read);
  expect(imperial.out).toMatch(/Kranich, standing nose up 2°, right low 1\.5°/);
  expect(imperial.out).toMatch(/\d+\/\d+\u00a0in/);
  expect(imperial.out).toMatch(/gal usable here/);
  expect(runCli(["help"], read)).toMatchObject({ code: 0, err: "" });
  expect(runCli(["check", "demo:kranich", "--colour"], read)).toMatchObject({ code: 2, out: "" });
  expect(runCli(["check", "demo:kranich", "demo:otter"], read).err).toMatch(/One file/);
});

test("every sample rig reads as sentences: no broken figure, the caution at the end", () => {
  for (const name of ["kranich", "lesesaal", "puppenwagen", "otter"]) {
    for (const units of [[], ["--imperial"]]) {
      const { out } = runCli(["check", `demo:${name}`, ...units], read);
      expect(out).not.toMatch(/NaN|undefined|Infinity|object Object/);
      expect(out.trim().split("\n").pop()).toMatch(/Local rules and licensed practice come first/);
    }
  }
});

test("whatever a file is, no more of it is read than a design can have; a tilt left empty is refused", () => {
  expect(runCli(["check", "/dev/zero"])).toMatchObject({ code: 2, out: "" });
  expect(runCli(["check", "."])).toMatchObject({ code: 2, out: "" });
  expect(runCli(["check", "demo/kranich.json"])).toMatchObject({ code: 0 });
  for (const empty of ["", "  "]) {
    expect(runCli(["check", "demo:kranich", "--pitch", empty], read).err).toMatch(/^--pitch takes degrees/);
  }
  expect(runCli(["check", "demo:kranich", "--pitch"], read)).toMatchObject({ code: 2 });
  const odd = runCli(["check", "no\u001b[31msuch\u202e"], read);
  expect([...odd.err].some((sign) => sign === "\u001b" || sign === "\u202e")).toBe(false);
});

test("output that cannot be written is one line and exit 2", () => {
  const run = spawnSync("sh", ["-c", "node cli/bin.mjs check demo/kranich.json --json > /dev/full"], {
    encoding: "utf8",
  });
  expect(run.status).toBe(2);
  expect(run.stderr.trim().split("\n")).toHaveLength(1);
});

test("sum: lists all, works one out with units, and says what is missing", () => {
  const list = runCli(["sum"], read);
  expect(list.code).toBe(0);
  expect(list.out.trim().split("\n").length).toBeGreaterThan(25);
  // IPC table 909.1, from memory: 1½ in at ¼ in/ft is 6 ft
  const arm = JSON.parse(runCli(["sum", "trapArm", "D=1.5in", "S=0.25in/ft", "--json"], read).out);
  expect(arm.result.value).toBeCloseTo(1828.8, 1);
  expect(arm).toMatchObject({ id: "trapArm", standing: "P", result: { unit: "mm", quantity: "length" } });
  expect(arm.source.length).toBeGreaterThan(5);
  expect(runCli(["sum", "hoseLoss", "Q=10 L/min", "d=12.7", "L=3000", "K=0"], read).out).toMatch(/5\.57\u00a0kPa/);
  for (const [args, said] of [
    [["sum", "trapArm", "D=40"], /S .*missing.*D, S/],
    [["sum", "trapArm", "D=40", "S=20", "x=1"], /x is no term/],
    [["sum", "trapArm", "D=forty", "S=20"], /D: /],
    [["sum", "trapArm", "D=9000", "S=20"], /goes from/],
    [["sum", "nothing"], /There is no sum/],
    [["sum", "trapArm", "--loud"], /--loud/],
  ] as const) {
    const { code, out, err } = runCli([...args], read);
    expect([code, out]).toEqual([2, ""]);
    expect(err).toMatch(said);
  }
});

test("export writes parts, cuts and steps as tables; holes as full-size templates", () => {
  const written = new Map<string, string>();
  const write = (path: string, content: string | Uint8Array) => void written.set(path, String(content));
  for (const kind of ["parts", "cuts", "steps"]) {
    expect(runCli(["export", "demo:kranich", "--as", kind, "--out", `${kind}.csv`], read, write)).toMatchObject({
      code: 0,
    });
    const rows = written.get(`${kind}.csv`)!.trim().split(/\r?\n/);
    expect(rows.length).toBeGreaterThan(3);
  }
  expect(runCli(["holes", "demo:kranich", "--as", "svg", "--out", "h.svg"], read, write)).toMatchObject({ code: 0 });
  expect(written.get("h.svg")).toMatch(/<ellipse/);
  const { holes } = JSON.parse(runCli(["holes", "demo:kranich", "--json"], read).out);
  expect(holes).toHaveLength(3);
  // where nothing is pumped nothing is said to be proven
  expect(runCli(["loop", "demo:kranich"], read).out).toBe(`Kranich\n${NOTHING_PUMPED}\n`);
  expect(runCli(["heads", "demo:otter", "--json"], read).code).toBe(0);
  for (const bad of [
    ["export", "demo:kranich", "--as", "song", "--out", "x"],
    ["export", "demo:kranich", "--as", "parts"],
    ["export", "demo:kranich", "--as", "epanet", "--out", "x"],
    ["loop", "demo:kranich", "--state", "none"],
    ["holes", "demo:kranich", "--as", "png", "--out", "x"],
  ]) {
    expect(runCli(bad, read, write)).toMatchObject({ code: 2, out: "" });
  }
  const full = () => {
    throw new Error("ENOSPC");
  };
  expect(runCli(["export", "demo:kranich", "--as", "cuts", "--out", "x.csv"], read, full)).toMatchObject({ code: 2 });
});

test("log writes the book that is in a file, formulas neutralised; a file without one says so", () => {
  const written = new Map<string, string>();
  const write = (path: string, content: string | Uint8Array) => void written.set(path, String(content));
  const entry = { id: "e1", at: "2026-05-01T12:00", kind: "note", storeId: null, amount: null, note: "=1+1" };
  const file = () =>
    JSON.stringify({
      format: "schleuse-file",
      version: 1,
      design: JSON.parse(readDemoText("kranich")),
      build: { done: [], parts: {} },
      log: [entry],
    });
  expect(runCli(["log", "any", "--as", "csv", "--out", "l.csv"], file, write)).toMatchObject({ code: 0 });
  expect(written.get("l.csv")).toMatch(/2026-05-01T12:00,Note,,,"?'=1\+1/);
  expect(runCli(["log", "demo:kranich", "--as", "csv", "--out", "l.csv"], read, write)).toMatchObject({ code: 2 });
  expect(runCli(["check", "any"], file)).toMatchObject({ code: 0 });
});

test("what a builder added to the building goes into steps and parts that are written from its file", () => {
  const file = JSON.stringify({
    format: "schleuse-file",
    version: 1,
    design: JSON.parse(readDemoText("kranich")),
    build: {
      done: [],
      parts: {},
      saws: [44],
      steps: [{ id: "own:worktop", name: "Worktop", hours: 3 }],
      rules: [{ firstId: "closeUp:all", thenId: "own:worktop" }],
    },
  });
  const write = (kind: string): string => {
    const written: string[] = [];
    const keep = (_: string, content: string | Uint8Array) => void written.push(String(content));
    expect(runCli(["export", "own", "--as", kind, "--out", "x.csv"], () => file, keep)).toMatchObject({ code: 0 });
    return written[0]!;
  };
  expect(write("steps").trim().split("\n").at(-1)).toMatch(/Worktop.*3/);
  expect(write("parts")).not.toContain("hole saw 44 mm");
  expect(write("parts")).toContain("hole saw 30 mm");
});
