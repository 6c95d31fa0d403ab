import babel from "@rolldown/plugin-babel";
import react, { reactCompilerPreset } from "@vitejs/plugin-react";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { brotliCompressSync } from "node:zlib";
import { defineConfig } from "vitest/config";

/** Compresses scripts and styles once, as small as can be: no request could take that long. */
const compressed = {
  name: "compressed",
  apply: "build" as const,
  closeBundle() {
    for (const name of readdirSync("dist/assets").filter((f) => /\.(js|css)$/.test(f))) {
      writeFileSync(`dist/assets/${name}.br`, brotliCompressSync(readFileSync(`dist/assets/${name}`)));
    }
  },
};

export default defineConfig({
  // What did not change is not drawn again: see docs/performance.md.
  plugins: [react(), babel({ presets: [reactCompilerPreset()] }), compressed],
  build: {
    rollupOptions: { input: "app.html" },
    // The style policy allows files and nonces only.
    assetsInlineLimit: 0,
  },
  server: { proxy: { "/api": "http://127.0.0.1:5080" } },
  test: { environment: "jsdom", setupFiles: "src/test-setup.ts", testTimeout: 60_000 },
});
