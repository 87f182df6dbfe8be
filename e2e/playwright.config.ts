import { existsSync } from "node:fs";

import { defineConfig } from "@playwright/test";

// The one without windows is lighter; either will do.
const light = "/usr/bin/chromium-headless-shell";
const browser = existsSync(light) ? light : "/usr/bin/chromium";

export default defineConfig({
  testDir: ".",
  workers: 3, // they wait much
  // On a machine that is busy a click can fall between two pictures of a list.
  retries: process.env.CI ? 1 : 0, // a run at home shows what fails now and then
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: "list",
  // What is measured in few milliseconds has the machine for itself; then the rest, some
  // files at a time.
  projects: [
    { name: "alone", grep: /@alone/, workers: 1 },
    { name: "together", grepInvert: /@alone/, dependencies: ["alone"] },
  ],
  use: {
    actionTimeout: 20_000,
    screenshot: "only-on-failure",
    viewport: { width: 1280, height: 800 },
    // No waiting for what only moves.
    contextOptions: { reducedMotion: "reduce" },
    launchOptions: {
      executablePath: browser,
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
});
