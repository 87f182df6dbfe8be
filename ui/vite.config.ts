import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
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
