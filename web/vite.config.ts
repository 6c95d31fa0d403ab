import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: {
    rollupOptions: { input: "app.html" },
    // The style policy allows files and nonces only.
    assetsInlineLimit: 0,
  },
  server: { proxy: { "/api": "http://127.0.0.1:5080" } },
  test: { environment: "jsdom", setupFiles: "src/test-setup.ts", testTimeout: 60_000 },
});
