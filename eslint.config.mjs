import next from "eslint-config-next/core-web-vitals";
import tseslint from "typescript-eslint";

export default tseslint.config(
  {
    ignores: [
      "node_modules/",
      ".next*/",
      ".data/",
      ".test-data/",
      "next-env.d.ts",
      "tests/architecture/planted/",
      "test-results/",
    ],
  },
  ...next,
  ...tseslint.configs.recommended,
  {
    rules: {
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_", ignoreRestSiblings: true },
      ],
      "@typescript-eslint/consistent-type-imports": [
        "error",
        { fixStyle: "inline-type-imports", prefer: "type-imports" },
      ],
      "@typescript-eslint/no-explicit-any": "error",
      eqeqeq: ["error", "always", { null: "ignore" }],
      "react-hooks/set-state-in-effect": "off",
      "react-hooks/refs": "off",
      "react-hooks/incompatible-library": "off",
      "@next/next/no-location-assign-relative-destination": "off",
    },
  },
  {
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "the instant is an argument" },
        { object: "Math", property: "random", message: "the random source is an argument" },
      ],
      "no-restricted-globals": ["error", "process", "fetch", "console", "window", "document"],
      "no-restricted-syntax": [
        "error",
        {
          selector: "NewExpression[callee.name='Date']",
          message: "core knows no Date; use Instant",
        },
      ],
    },
  },
  {
    // No query stands outside src/data, and nobody else takes a connection.
    files: ["src/**/*.ts", "src/**/*.tsx"],
    ignores: ["src/data/**", "src/core/**", "**/*.test.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector:
            "CallExpression[callee.property.name=/^(query|execute|getKnex|getConnection)$/]",
          message: "queries stand in src/data: call one of its repositories",
        },
      ],
    },
  },
);
