import { expect, test } from "@playwright/test";

import { Kitchen } from "./kitchen";

let kitchen: Kitchen;
test.beforeAll(async () => {
  kitchen = await Kitchen.open();
});
test.afterAll(async () => {
  await kitchen.close();
});

const novel =
  "It was a grey morning, and nobody at the harbour had yet spoken. She walked on.\n".repeat(
    80,
  );

test("empty text, a novel and a huge paste get clear words and nothing is lost", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/dishes/new`);
  const field = page.getByLabel("Recipe text");
  const read = page.getByRole("button", { name: "Read recipe" });

  await read.click();
  await expect(page.getByRole("alert")).toContainText("There is no text yet");

  await field.fill(novel);
  await read.click();
  await expect(page.getByRole("alert")).toContainText(
    "No list of ingredients was found",
  );
  await expect(field).toHaveValue(novel);
  await page.reload();
  await expect(field).toHaveValue(novel);

  const huge = `${"500 g potatoes, ".repeat(1_000)}\n`.repeat(220);
  expect(huge.length).toBeGreaterThan(3_000_000);
  await field.evaluate((node, text) => {
    const area = node as HTMLTextAreaElement;
    const set = Object.getOwnPropertyDescriptor(
      HTMLTextAreaElement.prototype,
      "value",
    )?.set;
    set?.call(area, text);
    area.dispatchEvent(new Event("input", { bubbles: true }));
  }, huge);
  await expect(page.getByRole("status")).toContainText("longer than 2 MB");
  await expect(read).toBeDisabled();
  expect(
    await field.evaluate((n) => (n as HTMLTextAreaElement).value.length),
  ).toBe(huge.length);

  // Cutting it down again goes on as if nothing had happened.
  await field.fill(
    "Potatoes\n\n500 g potatoes\n20 g butter\n\nMethod\n1. Boil the potatoes for 20 minutes.",
  );
  await read.click();
  await expect(page.getByRole("row", { name: /20 g butter/ })).toBeVisible();
});

test("a dish that is not there and a server that is gone say so", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/dishes/nobody/original`);
  await expect(page.getByRole("alert")).toContainText("There is no such dish");
  await page.goto(`${kitchen.url}/dishes/new`);
  await page.getByLabel("Recipe text").fill("Soup\n\n1 onion\n2 carrots");
  await kitchen.stop();
  await page.getByRole("button", { name: "Read recipe" }).click();
  await expect(page.getByRole("alert")).toContainText(
    "The server cannot be reached",
  );
  await expect(page.getByLabel("Recipe text")).toHaveValue(
    "Soup\n\n1 onion\n2 carrots",
  );
  await kitchen.start();
  await page.getByRole("button", { name: "Read recipe" }).click();
  await expect(page.getByRole("row", { name: /2 carrots/ })).toBeVisible();
});
