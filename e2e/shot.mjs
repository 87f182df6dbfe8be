import { chromium } from "@playwright/test";
const [url, out, size = "1280x800", scheme = "light", wait = "1200", ...clicks] = process.argv.slice(2);
const [width, height] = size.split("x").map(Number);
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox", "--disable-gpu"] });
const p = await b.newPage({ viewport: { width, height }, colorScheme: scheme });
p.on("console", (m) => m.type() === "error" && console.log("console:", m.text()));
p.on("pageerror", (e) => console.log("page:", e.message));
await p.goto(url);
await p.waitForTimeout(Number(wait));
for (const c of clicks) { if (c.startsWith("key:")) await p.keyboard.press(c.slice(4)); else await p.getByRole("button", { name: c }).first().click(); await p.waitForTimeout(700); }
await p.screenshot({ path: out });
await b.close();
