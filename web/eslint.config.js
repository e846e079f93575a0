import js from "@eslint/js";
import globals from "globals";

export default [
  { ignores: ["target/", "node_modules/"] },
  js.configs.recommended,
  {
    files: ["src/main/resources/assets/js/**/*.js"],
    languageOptions: { globals: globals.browser },
  },
  {
    files: ["*.mjs", "*.js"],
    languageOptions: { globals: globals.node },
  },
  {
    rules: {
      eqeqeq: "error",
      "no-var": "error",
      "prefer-const": "error",
    },
  },
];
