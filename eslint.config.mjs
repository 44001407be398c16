import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  {
    ignores: [
      "public/**",
      ".next/",
      "build/",
      ".stryker-tmp/",
      "node_modules/",
      "next-env.d.ts",
      "data/",
      "demo-data/",
    ],
  },
  ...tseslint.configs.recommended,
  hooks.configs.flat["recommended-latest"],
  {
    rules: {
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/consistent-type-imports": "error",
      // The sheet is not compiled; its virtualiser is used as its makers show.
      "react-hooks/incompatible-library": "off",
      eqeqeq: ["error", "always", { null: "ignore" }],
    },
  },
);
