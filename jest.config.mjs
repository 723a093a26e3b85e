export default {
  testEnvironment: "node",
  maxWorkers: "100%",
  roots: [
    "<rootDir>/core",
    "<rootDir>/words",
    "<rootDir>/store",
    "<rootDir>/workers",
    "<rootDir>/ui",
    "<rootDir>/cli",
    "<rootDir>/files",
    "<rootDir>/tests",
  ],
  setupFiles: ["<rootDir>/tests/seed.ts"],
  testMatch: ["**/*.test.ts", "**/*.test.tsx"],
  extensionsToTreatAsEsm: [".ts", ".tsx"],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/$1" },
  // the reader of files is looked into as deep as our own code
  transformIgnorePatterns: ["/node_modules/(?!(zod|fast-check|pure-rand)/)"],
  transform: { "\\.(tsx?|js)$": "<rootDir>/tests/transform.mjs" },
};
