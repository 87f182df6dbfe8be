import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: ".",
  workers: 2,
  // On a machine that is busy a click can fall between two pictures of a list.
  retries: 1,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: "list",
  // What is measured in milliseconds has the machine for itself; then the rest, two
  // files at a time.
  projects: [
    { name: "alone", testMatch: /(swaps|stove|tasting|shelf)\.spec/, workers: 1 },
    {
      name: "together",
      testMatch: /(bad-input|day|larder|network|path|phone)\.spec/,
      dependencies: ["alone"],
    },
  ],
  use: {
    actionTimeout: 20_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: "/usr/bin/chromium",
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
