import { expect, test } from "@playwright/test";

import { expectReadable } from "./axe";
import { Kitchen } from "./kitchen";

test.describe.configure({ mode: "serial" });

let kitchen: Kitchen;
test.beforeAll(async ({ request }) => {
  kitchen = await Kitchen.open();
  const text =
    "Root stew\n\nServes 4\n\n400 g carrots, sliced\n2 onions, chopped\n400 g tinned tomatoes\n150 g dried chickpeas\n\nMethod\n\n1. Soak the chickpeas for 8 hours.\n2. Soften the onions for 8 minutes.\n3. Add everything and simmer for 50 minutes.\n4. Bake at 180 C for 20 minutes until brown.";
  const made = await request.post(`${kitchen.url}/api/dishes`, {
    data: { text },
  });
  expect(made.status()).toBe(201);
});
test.afterAll(async () => {
  await kitchen.close();
});

test("a day is planned, pinned by drag and key, shopped for and given out", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/days`);
  await page.getByLabel("Name of the day").fill("Sunday supper");
  await page.getByLabel("Time of serving").fill("2027-03-06T19:30");
  await page.getByLabel("Dishes of the day").click();
  await page.getByTitle("Root stew").click();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Plan the day" }).click();

  await expect(
    page.getByRole("heading", { name: "Sunday supper" }),
  ).toBeVisible();
  const bar = page.locator(".bar.work").first();
  await bar.click();
  const task = page.getByRole("region", { name: "Chosen task" });
  await expect(task.getByRole("button", { name: "Pin here" })).toBeVisible();
  await expect(task).toContainText("cook 1");

  // Drag to the left pins it earlier.
  const box = await bar.boundingBox();
  if (!box) throw new Error("The bar is not to be seen.");
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, {
    steps: 4,
  });
  await page.mouse.up();
  await expect(task.getByRole("button", { name: "Unpin" })).toBeVisible();
  await page.getByRole("button", { name: "Take back" }).click();
  await expect(task.getByRole("button", { name: "Pin here" })).toBeVisible();

  await page.getByText("Shopping", { exact: true }).click();
  await page.getByRole("checkbox", { name: /onion/ }).click();
  await expect(page.getByRole("checkbox", { name: /onion/ })).toBeChecked();
  await expect(page.getByText(/1 of|[0-9]+ of [0-9]+ to get/)).toBeVisible();
  await page.reload();
  await page.getByText("Shopping", { exact: true }).click();
  await expect(page.getByRole("checkbox", { name: /onion/ })).toBeChecked();

  const link = page.getByRole("link", { name: "Calendar with alarms" });
  const calendar = await page.request.get(
    kitchen.url + (await link.getAttribute("href")),
  );
  expect(await calendar.text()).toContain("BEGIN:VALARM");

  await page.getByText("Plan", { exact: true }).click();
  await expect(page.locator(".timeline svg")).toBeVisible();
  await expectReadable(page, "day", "main");

  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.locator(".timeline")).toBeHidden();
  await expect(page.locator(".phone-list")).toBeVisible();
});

test("what cannot be is said, with a way out", async ({ page }) => {
  await page.goto(`${kitchen.url}/days`);
  await page.getByRole("link", { name: /Sunday supper/ }).click();
  await page.getByRole("button", { name: "Cooks and kit" }).click();
  const cooks = page.getByRole("dialog").getByLabel("Cooks");
  await cooks.fill("0");
  await cooks.press("Enter");
  await page.getByRole("dialog").getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("alert")).toContainText("nobody is cooking");
  await page.getByRole("button", { name: "Take back" }).click();
  await expect(page.getByRole("alert")).toBeHidden();
});

test("the whole kitchen goes out to a file and comes back", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/kitchen`);
  const coming = page.waitForEvent("download");
  await page.getByRole("link", { name: "Save the kitchen to a file" }).click();
  const file = await (await coming).path();
  const other = await Kitchen.open();
  try {
    await page.goto(`${other.url}/kitchen`);
    await page.getByLabel("Archive to bring in").setInputFiles(file);
    await expect(page.getByRole("status")).toContainText("1 dishes came in");
    await page.goto(`${other.url}/days`);
    await expect(
      page.getByRole("link", { name: /Sunday supper/ }),
    ).toBeVisible();
  } finally {
    await other.close();
  }
});
