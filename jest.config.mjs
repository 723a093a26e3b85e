const swc = [
  "@swc/jest",
  {
    jsc: {
      target: "es2022",
      parser: { syntax: "typescript", tsx: true },
      transform: { react: { runtime: "automatic" } },
    },
    module: { type: "es6" },
  },
];

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
  transform: { "^.+\\.tsx?$": swc },
};
