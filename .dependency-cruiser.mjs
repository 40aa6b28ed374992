/** Who may import whom. Order in core: a folder may import those before it. */
const CORE_ORDER = [
  ["base"],
  ["time"],
  ["sql"],
  ["catalog"],
  ["relation"],
  ["filter", "measure", "shapes"],
  ["definition"],
  ["sentence"],
  ["history"],
  ["plan"],
  ["answer"],
  ["figure"],
  ["kinds"],
  ["briefing", "bundle", "delivery", "exports", "plain"],
];
const MAY = {
  core: ["core"],
  contract: ["core", "contract"],
  data: ["core", "contract", "data"],
  ui: ["core", "contract", "ui"],
  server: ["core", "contract", "data", "server"],
  app: ["core", "contract", "ui", "server", "app"],
  demo: ["core", "contract", "demo"],
  commands: ["core", "contract", "data", "demo", "server", "commands"],
};
// The cruiser reads a generic arrow of a .ts file as markup, and so reports the runtime of it.
const CORE_PACKAGES = "^node_modules/(zod|decimal\\.js|temporal-polyfill|react/jsx-runtime)";
const NOT_TEST = { pathNot: "\\.test\\.ts$" };
// Planted violations live under tests/architecture/planted/src and are held to the same rules.
const SRC = "^(?:tests/architecture/planted/)?src/";
/** What only the server needs: SQL, and what plans it. */
const SQL = [
  `${SRC}core/(sql|relation|plan)/`,
  `${SRC}core/(kinds|briefing)/planned\\.ts`,
  `${SRC}core/(filter|measure)/sql\\.ts`,
  `\\.sql\\.ts$`,
];

const layers = Object.entries(MAY).map(([layer, may]) => ({
  name: `${layer}-imports`,
  severity: "error",
  comment: `${layer} may import ${may.join(", ")} only`,
  from: { path: `${SRC}${layer}/`, ...NOT_TEST },
  to: { path: SRC, pathNot: `${SRC}(${may.join("|")})/` },
}));
const later = CORE_ORDER.map((folders, index) => ({
  name: `core-order-${folders[0]}`,
  severity: "error",
  comment: `core/${folders.join(", ")} comes before what it imports here`,
  from: { path: `${SRC}core/(${folders.join("|")})/`, ...NOT_TEST },
  to: {
    path: `${SRC}core/(${
      CORE_ORDER.slice(index + 1)
        .flat()
        .join("|") || "nothing"
    })/`,
  },
}));

const config = {
  forbidden: [
    ...layers,
    ...later,
    {
      name: "core-packages",
      severity: "error",
      comment: "core takes zod, a decimal library and temporal only",
      from: { path: `${SRC}core/`, ...NOT_TEST },
      to: {
        dependencyTypes: ["npm", "npm-dev", "npm-no-pkg", "core"],
        pathNot: CORE_PACKAGES,
      },
    },
    {
      name: "ui-no-sql",
      severity: "error",
      comment: "no SQL reaches the browser, by whatever way",
      from: { path: `${SRC}(ui|contract)/`, ...NOT_TEST },
      to: { path: SQL, reachable: true },
    },
    {
      name: "ui-no-schemas",
      severity: "error",
      comment: "what is sent is checked where it arrives: no schema reaches the browser",
      from: { path: `${SRC}ui/`, ...NOT_TEST },
      to: { path: "^node_modules/zod/", reachable: true },
    },
    {
      name: "only-data-knows-the-database",
      severity: "error",
      from: { path: SRC, pathNot: `${SRC}data/` },
      to: { path: "^node_modules/(@mikro-orm|pg|knex)/" },
    },
    {
      name: "by-the-index",
      severity: "error",
      comment:
        "a folder of core, data, demo or ui is entered by its index; SQL of core by sql.ts, planning by planned.ts, schemas by schemas.ts, the table of meanings by meanings.ts",
      from: {
        path: `${SRC}(core/[^/]+|data|demo|ui/[^/]+|app|server|commands|worker)`,
        ...NOT_TEST,
      },
      to: {
        path: `${SRC}(core/[^/]+|data|demo|ui/[^/]+)/(?!(index|sql|planned|schemas|meanings)\\.ts$)`,
        pathNot: `${SRC}$1/`,
      },
    },
    { name: "no-cycles", severity: "error", from: { path: SRC }, to: { circular: true } },
  ],
  options: {
    tsConfig: { fileName: "tsconfig.json" },
    doNotFollow: { path: "node_modules" },
    enhancedResolveOptions: { extensions: [".ts", ".tsx", ".js", ".mjs"] },
    moduleSystems: ["es6"],
  },
};

export default config;
