// The one direction imports may take: app -> ui -> store, workers -> core; words is read by ui, store and cli.
const only = (from, ...to) => ({
  name: `${from}-imports-only-${to.join("-") || "itself"}`,
  severity: "error",
  from: { path: `^${from}/`, pathNot: "\\.test\\.tsx?$" },
  to: {
    path: "^(app|ui|store|workers|words|core|devices|cli|demo|tests|e2e|bench)/",
    pathNot: `^(${[from, ...to].join("|")})/`,
  },
});

module.exports = {
  forbidden: [
    { name: "no-circular", severity: "error", from: {}, to: { circular: true } },
    {
      name: "core-is-pure",
      comment: "the core knows no screen, no storage and no framework: only itself and zod",
      severity: "error",
      from: { path: "^core/", pathNot: "\\.test\\.ts$" },
      to: { pathNot: "^core/|^node_modules/zod/" },
    },
    only("words", "core"),
    only("workers", "core"),
    only("store", "core", "words", "workers"),
    only("ui", "core", "words", "workers", "store"),
    only("cli", "core", "words"),
    only("app", "ui", "core"),
  ],
  options: {
    parser: "swc",
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    doNotFollow: { path: "node_modules" },
    enhancedResolveOptions: { extensions: [".ts", ".tsx", ".mjs", ".js"] },
  },
};
