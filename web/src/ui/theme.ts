import { createSystem, defaultBaseConfig, defineConfig } from "@chakra-ui/react";

const steps = [0, 0.5, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20];
const spacing = Object.fromEntries(steps.map((s) => [String(s), { value: `${s * 0.25}rem` }]));

const both = (light: string, dark: string) => ({ value: { base: light, _dark: dark } });

/** Chalk and ink as ground, clay for terraces, copper for what can be acted on; moss, ochre and brick for how it stands. */
export const palette = {
  chalk: both("#f8f4ea", "#191d1c"),
  card: both("#fffdf7", "#212726"),
  ink: both("#20302e", "#ece6d8"),
  muted: both("#4c5855", "#b3b2a6"),
  line: { DEFAULT: both("#ddd5c4", "#3a413f"), strong: both("#8b8574", "#7d827a") },
  clay: { 1: both("#f2e8d8", "#2b2b26"), 2: both("#eedfcb", "#352f27"), 3: both("#e9d6bd", "#403629"), 4: both("#e4cdae", "#4b3e2d") },
  riser: both("#a87b52", "#8f6f50"),
  copper: both("#97450f", "#eaa06c"),
  onCopper: both("#fffdf7", "#191d1c"),
  moss: both("#3f6622", "#a3c986"),
  ochre: both("#7f5600", "#e3b95a"),
  brick: both("#9b2b20", "#f29483"),
  focus: both("#20302e", "#ece6d8"),
};

export const system = createSystem(
  defaultBaseConfig,
  defineConfig({
    cssVarsRoot: ":where(:root)",
    conditions: { dark: ".dark &" },
    globalCss: {
      "*, *::before, *::after": {
        boxSizing: "border-box",
        margin: 0,
        padding: 0,
        borderWidth: 0,
        "@media (prefers-reduced-motion: reduce)": { animation: "none !important", transition: "none !important" },
      },
      "html, body, #root": { minHeight: "100%" },
      body: { bg: "chalk", color: "ink", fontFamily: "body", fontSize: "0.9375rem", lineHeight: 1.4 },
      "h1, h2, h3": { fontWeight: 700, lineHeight: 1.25 },
      "ul, ol": { listStyle: "none" },
      a: { color: "copper" },
      table: { borderCollapse: "collapse" },
      // Paper has no use for what can be pressed.
      "header, .notPrinted, .paper button, .paper output": { "@media print": { display: "none !important" } },
      "tr, li": { "@media print": { breakInside: "avoid" } },
      ":focus-visible": { outline: "3px solid", outlineColor: "focus", outlineOffset: "2px" },
    },
    theme: {
      breakpoints: { sm: "30rem", md: "48rem", lg: "64rem", xl: "75rem" },
      tokens: {
        spacing,
        sizes: spacing,
        radii: { sm: { value: "4px" }, md: { value: "6px" }, lg: { value: "10px" } },
        fonts: {
          body: { value: "'Atkinson Hyperlegible Next Variable', sans-serif" },
          mono: { value: "'Atkinson Hyperlegible Mono Variable', monospace" },
        },
        fontSizes: {
          xs: { value: "0.8125rem" },
          sm: { value: "0.875rem" },
          md: { value: "0.9375rem" },
          lg: { value: "1.0625rem" },
          xl: { value: "1.375rem" },
        },
      },
      semanticTokens: {
        colors: palette,
      },
    },
  }),
);
