import { expect, test, type Page } from "@playwright/test";

import { expectReadable } from "./axe";
import { Kitchen } from "./kitchen";

// The later tests go on with the dish of the first.
test.describe.configure({ mode: "serial" });

let kitchen: Kitchen;
test.beforeAll(async () => {
  kitchen = await Kitchen.open();
});
test.afterAll(async () => {
  await kitchen.close();
});

const recipe = `Smoked fish soup

Serves 4

500 g smoked haddock, skinned
50 g butter
1 large onion, finely chopped
500 g potatoes, diced
600 ml whole milk
100 g dragon scales

Method

1. Melt the butter and sweat the onion for 10 minutes until translucent.
2. Add the potatoes and the milk and simmer for 15 minutes until tender.
3. Slip in the haddock and poach for 5 minutes until it flakes. Brush with beaten egg.
`;

/** Collects what the browser complains about, such as styles its policy refuses. */
function complaints(page: Page): string[] {
  const list: string[] = [];
  page.on("console", (m) => {
    // While the program is restarted the page listens in vain, which is no fault of it.
    const away =
      m.location().url.endsWith("/api/stream") &&
      m.text().includes("ERR_CONNECTION");
    if (m.type() === "error" && !away) list.push(m.text());
  });
  page.on("pageerror", (e) => list.push(String(e)));
  return list;
}

async function tally(page: Page): Promise<string> {
  return (await page.locator(".dish-band .tally").textContent()) ?? "";
}

test("a recipe is pasted, adapted, printed and found again", async ({
  page,
}) => {
  const errors = complaints(page);
  await page.goto(kitchen.url);
  await expect(
    page.getByRole("heading", { name: "No dish yet" }),
  ).toBeVisible();
  await page.getByRole("button", { name: "Paste a recipe" }).click();
  await page.getByLabel("Recipe text").fill(recipe);
  await page.getByRole("button", { name: "Read recipe" }).click();

  // The marks and notices of the original.
  await expect(
    page.getByRole("heading", { name: "Smoked fish soup" }),
  ).toBeVisible();
  const haddock = page.getByRole("row", { name: /500 g smoked haddock/ });
  await expect(
    haddock.getByRole("img", { name: "from an animal" }),
  ).toBeVisible();
  await expect(haddock).toContainText("fish");
  await expect(
    page
      .getByRole("row", { name: /potatoes/ })
      .getByRole("img", { name: "plant" }),
  ).toBeVisible();
  await expect(page.getByLabel("Notices")).toContainText("dragon scales");
  await expect(page.getByLabel("Notices")).toContainText(
    "Egg is named only in step 3",
  );

  // A wrong name is put right, and can be undone like anything else.
  await page.getByRole("button", { name: "Rename", exact: true }).click();
  await page.getByLabel("Name of the dish").fill("Skink");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(
    page.getByRole("heading", { name: "Skink", exact: true }),
  ).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(
    page.getByRole("heading", { name: "Smoked fish soup" }),
  ).toBeVisible();

  // The unknown line is mended in place.
  const found = page.waitForResponse((r) => r.url().includes("foods?q=lee"));
  await page.getByLabel(/Name the food of .100 g dragon scales/).fill("lee");
  await found;
  await page.getByText("leek (plant)").click();
  await expect(page.getByLabel("Notices")).not.toContainText("dragon scales");

  // Two swaps, and the tally moves.
  await page.getByRole("button", { name: /Choose swaps for 3 lines/ }).click();
  await page.getByRole("button", { name: /^Use / }).first().click();
  await expect(page.locator(".dish-band .tally")).toBeVisible();
  const one = await tally(page);
  await page
    .getByLabel("Lines to swap")
    .getByRole("button", { name: /whole milk/ })
    .click();
  await page
    .getByRole("button", { name: "Use Soy drink enriched with cashew" })
    .click();
  await expect.poll(() => tally(page)).not.toBe(one);
  const two = await tally(page);

  // Undo by key, redo by button.
  await page.locator("body").press("Control+z");
  await expect.poll(() => tally(page)).toBe(one);
  await page.getByRole("button", { name: "Redo" }).click();
  await expect.poll(() => tally(page)).toBe(two);

  // The card says that a line is still open.
  await page.locator("body").press("]");
  await expect(page).toHaveURL(/\/method$/);
  await expect(page.getByText("Word it yourself").first()).toBeVisible();
  await page.locator("body").press("]");
  await expect(
    page.getByRole("region", { name: "What a serving gives" }),
  ).toBeVisible();
  await page.locator("body").press("]");
  await expect(page).toHaveURL(/\/card$/);
  const card = page.getByRole("article", { name: "Card" });
  await expect(card).toContainText("Not finished: one line is open.");
  await expect(card).toContainText("In place of butter");

  // Propose settles it.
  for (const stage of ["balance", "method", "swaps"]) {
    await page.locator("body").press("[");
    await expect(page).toHaveURL(new RegExp(`/${stage}$`));
  }
  await expect(
    page.getByRole("button", { name: "Propose swaps" }),
  ).toBeVisible();
  await page.locator("body").press("p");
  const simplest = page.getByRole("region", { name: "Simplest" });
  await expect(simplest).toBeVisible();
  await expect(page.locator(".answer")).toHaveCount(4);
  await simplest.getByRole("button", { name: "Use this" }).click();
  await expect(page.getByText("Every line is decided")).toBeVisible();
  await page.getByRole("link", { name: "Card" }).click();
  await expect(card).not.toContainText("Not finished");
  const ingredients = (await card.locator(".card-body").allTextContents())
    .join(" ")
    .toLowerCase();
  for (const word of ["haddock", "butter", "egg", "fish"]) {
    expect(ingredients).not.toMatch(new RegExp(`\\b${word}\\b`));
  }

  // Still there after reload and restart.
  const shown = await card.textContent();
  await page.reload();
  await expect(card).toHaveText(shown ?? "");
  await kitchen.stop();
  await kitchen.start();
  await page.goto(kitchen.url);
  await expect(
    page.getByRole("link", { name: /Smoked fish soup/ }).first(),
  ).toBeVisible();
  await page.locator("body").press("/");
  await expect(
    page
      .getByRole("searchbox")
      .or(page.getByPlaceholder(/Search/))
      .first(),
  ).toBeFocused();
  await page.keyboard.type("haddo");
  await page
    .locator(".search-hits")
    .getByRole("link", { name: /Smoked fish soup/ })
    .click();
  await page.getByRole("link", { name: "Card" }).click();
  await expect(card).toHaveText(shown ?? "");
  expect(errors).toEqual([]);
});

test("the card prints on its own", async ({ page }) => {
  await page.goto(`${kitchen.url}/dishes`);
  await page.getByRole("link", { name: /Smoked fish soup/ }).click();
  await page.getByRole("link", { name: "Card" }).click();
  await page.getByLabel("Servings").fill("12");
  await page.getByLabel("Servings").press("Tab");
  await expect(page.getByRole("article", { name: "Card" })).toContainText(
    "serves 12",
  );
  await expect(page.getByRole("article", { name: "Card" })).toContainText(
    "At this size",
  );
  await expect(page.getByRole("article", { name: "Card" })).toContainText(
    "Labels decide",
  );
  await expect(page.getByRole("link", { name: "Markdown" })).toHaveAttribute(
    "href",
    /servings=12$/,
  );
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("article", { name: "Card" })).toBeVisible();
  await expect(page.locator(".band")).toBeHidden();
  await expect(page.getByRole("button", { name: "Print card" })).toBeHidden();
  const pdf = await page.pdf({ format: "A4" });
  const pages = pdf.toString("latin1").match(/\/Type\s*\/Page\b/g)?.length ?? 0;
  expect(pages).toBeGreaterThan(0);
  expect(pages).toBeLessThanOrEqual(3);
});

test("two windows on one dish do not overwrite each other silently", async ({
  browser,
}) => {
  const context = await browser.newContext({ serviceWorkers: "block" });
  const [here, there] = [await context.newPage(), await context.newPage()];
  // Windows tell each other; this one has not heard yet.
  await here.route("**/api/stream", (r) => r.abort());
  for (const page of [here, there]) {
    await page.goto(`${kitchen.url}/dishes`);
    await page.getByRole("link", { name: /Smoked fish soup/ }).click();
    await page.getByRole("link", { name: /^Swaps/ }).click();
    await expect(page.locator(".candidate").first()).toBeVisible();
  }
  await there.getByRole("button", { name: /^Use / }).first().click();
  await expect(there.getByText("Saved")).toBeVisible();
  await expect(there.locator(".candidate.used")).toBeVisible();
  await here.getByRole("button", { name: /^Use / }).last().click();
  const dialog = here.getByRole("dialog");
  await expect(dialog).toContainText("changed in another window");
  await expect(dialog).toContainText("In the other window");
  await dialog.getByRole("button", { name: "Put my change on top" }).click();
  await expect(dialog).toBeHidden();
  await expect(here.getByRole("button", { name: "In use" })).toBeVisible();
  await context.close();
});

test("every screen can be read by everyone", async ({ page }) => {
  await page.goto(`${kitchen.url}/dishes`);
  await expect(
    page.getByRole("link", { name: /Smoked fish soup/ }),
  ).toBeVisible();
  await expectReadable(page, "dishes");
  await page.getByRole("link", { name: /Smoked fish soup/ }).click();
  for (const stage of [
    "Original",
    "Character",
    "Swaps",
    "Method",
    "Balance",
    "Card",
  ]) {
    const link = page.getByRole("link", { name: new RegExp(`^${stage}`) });
    await link.click();
    await expect(link).toHaveAttribute("aria-current", "page");
    await page.waitForLoadState("networkidle");
    await expect(page.locator(".loading")).toHaveCount(0);
    await expect(page.locator("main.page")).toBeVisible();
    await expectReadable(page, stage);
  }
});
