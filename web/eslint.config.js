import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** The rooms of the page: each imports only rooms that stand before it. CONTRIBUTING.md says what they hold. */
const rooms = ["api", "ui", "shared", "terraces", "rule", "shelf", "plan", "proof", "readings", "survey", "run", "jobs", "job"];

/** What a room may not import, at once or when it is needed. */
function later(room) {
  const names = rooms.slice(rooms.indexOf(room) + 1);
  const message = `${room} stands before it in the list of rooms (eslint.config.js).`;
  return {
    files: [`src/${["api", "ui"].includes(room) ? "" : "features/"}${room}/**`],
    rules: {
      "no-restricted-imports": ["error", { patterns: [{ group: names.map((name) => `**/${name}/*`), message }] }],
      "no-restricted-syntax": ["error", { selector: `ImportExpression > Literal[value=/\\u002f(${names.join("|")})\\u002f/]`, message }],
    },
  };
}

export default tseslint.config(
  { ignores: ["dist", "src/api/schema.d.ts"] },
  ...tseslint.configs.strict,
  ...tseslint.configs.stylistic,
  {
    plugins: { "react-hooks": hooks },
    rules: { ...hooks.configs.recommended.rules },
  },
  ...rooms.slice(0, -1).map(later),
);
