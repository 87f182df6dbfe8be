import js from "@eslint/js";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default ts.config(
  { ignores: ["dist", "src/api/types.ts"] },
  js.configs.recommended,
  ...ts.configs.strict,
  {
    plugins: { "react-hooks": hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      "@typescript-eslint/no-non-null-assertion": "error",
      "max-lines": ["error", 300],
    },
  },
  { files: ["**/*.test.ts", "**/*.test.tsx"], rules: { "max-lines": "off" } },
);
