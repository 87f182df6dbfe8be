import { expect, test, type Page } from "@playwright/test";

import { expectReadable } from "./axe";
import { Kitchen } from "./kitchen";

test.describe.configure({ mode: "serial" });

let kitchen: Kitchen;
test.beforeAll(async () => {
  kitchen = await Kitchen.open("demo");
});
test.afterAll(async () => {
  await kitchen.close();
});

async function goTo(page: Page, dish: string, stage: string) {
  await page.goto(`${kitchen.url}/dishes?q=${encodeURIComponent(dish)}`);
  await page
    .getByRole("link", { name: new RegExp(dish) })
    .first()
    .click();
  await page.getByRole("link", { name: new RegExp(`^${stage}`) }).click();
}

test("the whole table of the club is laid out, with the shelf's tallies", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/dishes`);
  for (const dish of [
    "Bobotie",
    "Moussaka",
    "Pho bo",
    "Feijoada",
    "Doro wat",
    "Cullen skink",
    "khachapuri",
    "Okonomiyaki",
    "Pastel de nata",
    "Goulash",
    "rendang",
    "Pierogi",
  ]) {
    await page.getByLabel("Words of the name, place or lines").fill(dish);
    await expect(
      page.getByRole("link", { name: new RegExp(dish) }).first(),
    ).toBeVisible();
  }
});

test("what the dish lives from is shown, pinned and said", async ({ page }) => {
  await goTo(page, "Goulash", "Character");
  const savoury = page.getByRole("img", { name: /^Savoury .*beef/ });
  await expect(savoury).toBeVisible();
  await expect(page.getByLabel("This dish lives from")).toHaveValue(
    /Onions and paprika/,
  );
  const smoke = page.getByRole("button", { name: "Roast must survive" });
  await expect(smoke).toHaveAttribute("aria-pressed", "false");
  await smoke.click();
  await expect(smoke).toHaveAttribute("aria-pressed", "true");
  // Pointing at a line lights its part in every bar.
  await page.getByLabel("What each line does").getByText("beef shin").hover();
  await expect(page.locator(".bar .lit").first()).toBeVisible();
  // The cook sets right what an ingredient does; the rule can be had back.
  const lard = page.getByRole("listitem").filter({ hasText: "lard" }).first();
  await expect(lard).toContainText("It fries other ingredients");
  await lard.getByRole("combobox").click();
  await page.getByTitle("enrich", { exact: true }).click();
  await expect(lard).toContainText("does what you said it does");
  await lard.getByRole("button", { name: "Back to the rule" }).click();
  await expect(lard).toContainText("It fries other ingredients");
});

test("four answers are offered and the threads follow every choice at once", async ({
  page,
}) => {
  await goTo(page, "Feijoada", "Swaps");
  await expect(
    page.getByText("lines are still open; their threads hang loose"),
  ).toBeVisible();
  await page.locator("body").press("p");
  await expect(page.locator(".answer")).toHaveCount(4);
  await page
    .getByRole("region", { name: "Closest" })
    .getByRole("button", { name: "Use this" })
    .click();
  await expect(page.getByText("Every line is decided")).toBeVisible();

  // Pointing at a candidate previews it without keeping it.
  const other = page.locator(".candidate:not(.used)").first();
  await other.hover();
  await expect(page.locator(".threads.previewing")).toBeVisible();
  await page.mouse.move(10, 400);
  await expect(page.locator(".threads.previewing")).toBeHidden();

  // A dose up and a dose down move the tally's figures; each redraws in time.
  const tray = page.getByRole("region", { name: "Boosters" });
  const times: number[] = [];
  for (const name of ["More", "Less", "More", "Less", "More"]) {
    const button = tray.getByRole("button", {
      name: new RegExp(`^${name} liquid smoke`),
    });
    await expect(button).toBeEnabled();
    times.push(
      await button.evaluate(async (b) => {
        const amount = () =>
          b.closest("li")?.querySelector(".amount")?.textContent;
        const steps = () =>
          [...document.querySelectorAll(".threads .steps")]
            .map((s) => s.textContent)
            .join(" ");
        const [before, drawn] = [amount(), steps()];
        const start = performance.now();
        (b as HTMLElement).click();
        while (steps() === drawn && performance.now() - start < 3000)
          await new Promise(requestAnimationFrame);
        const took = performance.now() - start;
        while (amount() === before && performance.now() - start < 3000)
          await new Promise(requestAnimationFrame);
        return took;
      }),
    );
  }
  times.sort((a, b) => a - b);
  console.log(
    `redraw after a dose, server included: ${times.map((t) => t.toFixed(0)).join(", ")} ms`,
  );
  // The bound is 100 ms on an idle machine; a busy one is given more time.
  expect(times[0] ?? Infinity).toBeLessThan(400);
});

test("the threads can be walked by keyboard and say their figures", async ({
  page,
}) => {
  await goTo(page, "Cullen skink", "Swaps");
  await expect(page.locator(".threads svg")).toBeVisible();
  const band = page.getByRole("img", { name: /^Smoke: / });
  await band.focus();
  await expect(page.locator(".readout")).toContainText("Smoke:");
  await page.keyboard.press("Tab");
  await expect(page.locator(".readout")).not.toContainText("Smoke:");
  await page.getByText("Figures", { exact: true }).click();
  await expect(page.getByRole("row", { name: /^Smoke / })).toBeVisible();
});

test("house rules change what is offered, and say what they leave out", async ({
  page,
}) => {
  await goTo(page, "Cullen skink", "Swaps");
  await page
    .getByLabel("Lines to swap")
    .getByRole("button", { name: /haddock/ })
    .click();
  await page.getByRole("button", { name: "Whole food" }).click();
  const noSoy = page.getByRole("checkbox", { name: "no soy" });
  await expect(noSoy).toBeVisible();
  await page
    .locator(".ant-popover")
    .evaluate((p) =>
      Promise.all(p.getAnimations({ subtree: true }).map((a) => a.finished)),
    );
  await noSoy.click();
  await expect(noSoy).toBeChecked();
  await page.keyboard.press("Escape");
  await page.locator("h1").click();
  await expect(
    page.getByRole("button", { name: "Whole food, without soy" }),
  ).toBeVisible();
  const rejected = page.locator(".rejected");
  await rejected.getByText(/left out by the house rules/).click();
  await expect(rejected).toContainText("no soy: holds");
  await page.locator("body").press("Control+z");
  await expect(
    page.getByRole("button", { name: "Whole food", exact: true }),
  ).toBeVisible();
});

test("the kitchen's rules are what a new dish begins with", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/kitchen`);
  await page.getByRole("radio", { name: /^Fasting day/ }).click();
  await expect(page.getByRole("radio", { name: /^Fasting day/ })).toBeChecked();
  await expectReadable(page);
  await page.goto(`${kitchen.url}/dishes/new`);
  await page
    .getByLabel("Recipe text")
    .fill(
      "Rice pudding\n\n200 g white rice\n1 litre whole milk\n\n1. Simmer the rice in the milk for 30 minutes.",
    );
  await page.getByRole("button", { name: "Read recipe" }).click();
  await expect(
    page.getByRole("heading", { name: "Rice pudding" }),
  ).toBeVisible();
  await expect(page.getByRole("button", { name: "Fasting day" })).toBeVisible();
  await page.getByRole("link", { name: /^Swaps/ }).click();
  await expect(
    page
      .getByLabel("Lines to swap")
      .getByRole("button", { name: /white rice/ }),
  ).toBeVisible();
});
