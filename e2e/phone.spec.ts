import {
  expect,
  test,
  type APIRequestContext,
  type Page,
} from "@playwright/test";

import { expectReadable } from "./axe";
import { Kitchen } from "./kitchen";

let kitchen: Kitchen;
test.beforeAll(async () => {
  kitchen = await Kitchen.open("demo");
});
test.afterAll(async () => {
  await kitchen.close();
});

interface Named {
  id: string;
}

// The places are walked by two, each in a kitchen of its own.
test.describe.configure({ mode: "parallel" });

/** Opens each place on a phone; nothing scrolls sideways, and axe finds nothing. */
async function walk(page: Page, paths: string[]) {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of paths) {
    await page.goto(kitchen.url + path);
    await expect(page.getByRole("main")).toBeVisible();
    await expect(page.locator(".loading")).toHaveCount(0);
    const width = await page.evaluate(
      () => document.documentElement.scrollWidth,
    );
    expect(width, path).toBeLessThanOrEqual(390);
    await expectReadable(page, path);
  }
}

async function first(request: APIRequestContext, path: string) {
  const answer = (await (await request.get(kitchen.url + path)).json()) as
    Named[] | { dishes: Named[] };
  return (Array.isArray(answer) ? answer : answer.dishes)[0]?.id ?? "";
}

test("every stage of a dish can be used on a phone", async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  const dish = await first(request, "/api/dishes?q=goulash");
  const tried = await first(request, "/api/dishes?q=cullen");
  const stages = [
    "original",
    "character",
    "swaps",
    "method",
    "balance",
    "card",
  ];
  await walk(page, [
    ...stages.map((s) => `/dishes/${dish}/${s}`),
    `/dishes/${tried}/trials`,
  ]);
});

test("every other place can be used on a phone", async ({ page, request }) => {
  test.setTimeout(240_000);
  const day = await first(request, "/api/days");
  const made = await request.post(`${kitchen.url}/api/links`, {
    data: { kind: "shopping", about: day, hours: 1 },
  });
  const guest = new URL(((await made.json()) as { url: string }).url).pathname;
  await walk(page, [
    "/dishes",
    "/dishes/new",
    "/map?region=Oceania&country=242",
    "/days",
    `/days/${day}`,
    "/larder",
    "/larder/onion",
    "/kitchen",
    "/bench",
    guest,
  ]);
});

test("what was seen last is shown while the line is gone", async ({
  browser,
}) => {
  const own = await Kitchen.open("demo");
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
  });
  const page = await context.newPage();
  await page.goto(`${own.url}/dishes`);
  await expect(page.getByText("Cullen skink")).toBeVisible();
  await page.evaluate(() =>
    navigator.serviceWorker.ready.then(() => undefined),
  );
  await page.reload(); // seen once more, now with the worker listening
  await expect(page.getByText("Cullen skink")).toBeVisible();
  const manifest = await page.request.get(`${own.url}/manifest.webmanifest`);
  expect(((await manifest.json()) as { display: string }).display).toBe(
    "standalone",
  );
  await own.kill();
  await page.reload();
  await expect(page.getByText("Cullen skink")).toBeVisible();
  await context.close();
  await own.close();
});
