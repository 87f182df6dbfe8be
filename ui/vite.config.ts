import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

import { size, world } from "./map/outlines.ts";

/** The outlines of the countries as a module, drawn when the program is built. */
const drawnWorld = {
  name: "drawn-world",
  resolveId: (id: string) => (id === "virtual:outlines" ? `\0${id}` : undefined),
  load: (id: string) =>
    id === "\0virtual:outlines"
      ? `export const size = ${JSON.stringify(size)};
         export const outlines = JSON.parse(${JSON.stringify(JSON.stringify(world()))});`
      : undefined,
};

export default defineConfig({
  plugins: [react(), drawnWorld],
  build: {
    emptyOutDir: false,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1200,
  },
  server: { proxy: { "/api": "http://127.0.0.1:8765" } },
  test: {
    // One world for all files: each test cleans up after itself, and half the time is saved.
    isolate: false,
    environment: "happy-dom",
    globals: false,
    setupFiles: ["src/shared/patience.ts"],
    testTimeout: 60_000,
  },
});
