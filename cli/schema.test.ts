import Ajv2020 from "ajv/dist/2020.js";
import { parseDesignText } from "@/core/design/parseDesign";
import { DEMO_NAMES, readDemoText } from "@/tests/demoRigs";
import { runCli } from "./main";

// The published schema, held by a general validator from the registry: it must say what our own reader says.
const schema = JSON.parse(runCli(["schema"]).out);
const validate = new Ajv2020({ strict: false, allErrors: false }).compile(schema);

test.each(DEMO_NAMES)("%s is valid by the published schema", (name) => {
  expect(validate(JSON.parse(readDemoText(name)))).toBe(true);
});

type Loose = ReturnType<typeof JSON.parse>;

test.each<[string, (doc: Loose) => void]>([
  ["a missing rig", (d) => delete d.rig],
  ["no people", (d) => (d.habits.people[0].count = 0)],
  ["half a person", (d) => (d.habits.people[0].count = 1.5)],
  ["a tank of negative length", (d) => (d.tanks[0].solid.lengthMm = -600)],
  ["a name that is a number", (d) => (d.name = 7)],
  ["an unknown kind of rig", (d) => (d.rig.kind = "balloon")],
  ["a word of its own", (d) => (d.rig.colour = "red")],
  ["an id with a space", (d) => (d.tanks[0].id = "grey tank")],
  ["a rig out of level by 90°", (d) => (d.rig.envelope.noseDownDeg = 90)],
  ["a pipe of no bore", (d) => (d.lines[0].pipe.innerMm = 0)],
  ["a tank of unknown shape", (d) => (d.tanks[0].solid.shape = "sphere")],
  ["a version from the future", (d) => (d.version = 99)],
  ["a limit with digits in its name", (d) => (d.rules.limits = { fall2: 3 })],
])("%s is refused by the schema and by the reader alike", (_, spoil) => {
  const doc = JSON.parse(readDemoText("kranich"));
  spoil(doc);
  expect(validate(doc)).toBe(false);
  expect(parseDesignText(JSON.stringify(doc)).ok).toBe(false);
});

test("every number of the schema says its unit and its bounds", () => {
  const numbers: string[] = [];
  const walk = (node: Loose, path: string): void => {
    if (typeof node !== "object" || node === null) return;
    if (node.type === "number" && node.const === undefined && node.enum === undefined) {
      numbers.push(path);
      expect({ path, unit: typeof node.unit, min: typeof node.minimum, max: typeof node.maximum }).toEqual({
        path,
        unit: "string",
        min: "number",
        max: "number",
      });
    }
    for (const [key, child] of Object.entries(node)) walk(child, `${path}/${key}`);
  };
  walk(schema, "");
  expect(numbers.length).toBeGreaterThan(40);
});
