import { readdirSync, readFileSync } from "node:fs";

const listFiles = (folder: string): string[] =>
  readdirSync(folder, { recursive: true })
    .map((file) => `${folder}/${String(file)}`)
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file));

/** What the interface would say by itself: a label, text between tags, a sentence that is told. */
const SPOKEN: readonly (readonly [what: string, pattern: RegExp])[] = [
  [
    "a label",
    /\b(label|last|noted|looking|aria-label|aria-valuetext|title|about|help|placeholder|plain)="[^"]*[A-Za-z]{2}[^"]*"/,
  ],
  ["text between tags", />[^<>{}=;]*[A-Za-z]{2}[^<>{}=;]*<\/[A-Za-z]/],
  ["a line of text", /^\s+[A-Z][a-z’']+( [a-z’']+){2,}[.,:]?$/],
  ["a name in a list", /\b(label|name|text): "[A-Z][a-z][^"]*"/],
  ["a choice of words", /(?<!className=.*)\? "[A-Za-z]+[ ,][^"]*[a-z]" :|: "[a-z]+ [a-z ]+"[),;}]/],
  ["a sentence", /["`][A-Z][a-z’']+ [a-z’']+ [^"`]*\.["`]/],
];
/** The name of the application itself, and what the browser calls things. */
const ALLOWED = /Schleuse|https?:|throw new|new Error/;

test("interface and store say nothing by themselves: every sentence and label stands in words", () => {
  const spoken = [...listFiles("ui"), ...listFiles("store")].flatMap((file) =>
    readFileSync(file, "utf8")
      .split("\n")
      .flatMap((line, i) => {
        const isComment = /^\s*(\/\/|\*|\/\*)/.test(line);
        const found = isComment || ALLOWED.test(line) ? undefined : SPOKEN.find(([, pattern]) => pattern.test(line));
        return found ? [`${file}:${i + 1} ${found[0]}: ${line.trim()}`] : [];
      }),
  );
  expect(spoken).toEqual([]);
});

test("what would be spoken is recognised", () => {
  const samples = [
    '<Pick label="How often" />',
    "<b>Take it out</b>",
    "      The browser is full",
    'tell("It could be kept.")',
    'action: { label: "Undo", run }',
    'isBoat ? "cabin sole" : floor',
    'isBoat ? sole : "finished floor")',
  ];
  for (const sample of samples) expect(SPOKEN.some(([, pattern]) => pattern.test(sample))).toBe(true);
  for (const sample of ["<b>{WORDS.takeItOut}</b>", "label={WORDS.howOften}", 'kind="scheme"'])
    expect(SPOKEN.some(([, pattern]) => pattern.test(sample))).toBe(false);
});
