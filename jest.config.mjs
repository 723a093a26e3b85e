const roots = (...folders) => folders.map((folder) => `<rootDir>/${folder}`);

/** What keeps nothing of its own between two calls: one worker loads it once for all its tests, and it runs warm. */
const shared = {
  displayName: "shared",
  runner: "jest-light-runner",
  roots: roots("core", "words", "cli", "files", "tests"),
  setupFiles: ["<rootDir>/tests/typescript.mjs", "<rootDir>/tests/seed.ts"],
  testMatch: ["**/*.test.ts", "**/*.test.tsx"],
  testPathIgnorePatterns: ["\\.alone\\.test\\.ts$"],
};

/** What keeps something (stores, the interface), and tests that look at what is loaded: modules of their own for each. */
const alone = {
  displayName: "alone",
  roots: roots("core", "store", "workers", "ui"),
  setupFiles: ["<rootDir>/tests/seed.ts"],
  testMatch: ["<rootDir>/{store,workers,ui}/**/*.test.{ts,tsx}", "**/*.alone.test.ts"],
  extensionsToTreatAsEsm: [".ts", ".tsx"],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/$1" },
  transform: {
    "\\.tsx?$": [
      "@swc/jest",
      {
        jsc: {
          target: "es2022",
          parser: { syntax: "typescript", tsx: true },
          transform: { react: { runtime: "automatic" } },
        },
        module: { type: "es6" },
      },
    ],
  },
};

// what a test waits for comes or does not, however busy the machine is
export default {
  testTimeout: 120_000,
  maxWorkers: "100%",
  testSequencer: "<rootDir>/tests/slowFirst.mjs",
  projects: [shared, alone],
};
