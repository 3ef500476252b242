import js from "@eslint/js";
import prettier from "eslint-config-prettier";
import svelte from "eslint-plugin-svelte";
import globals from "globals";
import ts from "typescript-eslint";

import svelteConfig from "./svelte.config.js";

export default ts.config(
  { ignores: ["build/", ".svelte-kit/", "node_modules/", "src/lib/api/schema.d.ts"] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  prettier,
  ...svelte.configs.prettier,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      // The compiler's own types know what is defined; this rule does not know types.
      "no-undef": "off",
      // The house stands at the root of its own server; there is no base path to resolve.
      "svelte/no-navigation-without-resolve": "off",
      // Sets, maps and dates here are made anew and never changed while they are shown.
      "svelte/prefer-svelte-reactivity": "off",
      // A space that must stay between two parts of a line is written as one.
      "svelte/no-useless-mustaches": "off",
    },
  },
  {
    files: ["**/*.svelte", "**/*.svelte.ts"],
    languageOptions: {
      parserOptions: {
        parser: ts.parser,
        svelteConfig,
      },
    },
  },
);
