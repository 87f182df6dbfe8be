import { expect, test } from "@playwright/test";
import { readFile } from "node:fs/promises";

import { expectReadable } from "./axe";
import { Kitchen } from "./kitchen";

// The later tests go on with what the first ones entered.
test.describe.configure({ mode: "serial" });

let kitchen: Kitchen;
test.beforeAll(async () => {
  kitchen = await Kitchen.open();
});
test.afterAll(async () => {
  await kitchen.close();
});

const stew = `Tidewater stew

Serves 4

600 g stewing beef
3 medium carrots
1 tbsp vegetable oil

For the dumplings:
200 g plain flour
100 g suet

Method
1. Brown the beef in the oil and simmer it with the carrots for 2 hours.
2. Mix the flour and the suet and steam for 20 minutes.
`;

test("a food is looked up, corrected, used and the correction taken back", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/larder`);
  await page.getByLabel("Search the larder").fill("brinj");
  await page.getByRole("link", { name: /^plant aubergine/ }).click();
  await expect(page.getByRole("heading", { name: "Aubergine" })).toBeVisible();
  await expect(
    page.getByText(/Indian Food Composition Tables 2017/),
  ).toBeVisible();
  await expect(page.getByLabel("Facts")).toContainText("missing");
  await expectReadable(page);

  await page.getByLabel("Search the larder").fill("carrot");
  await page.getByRole("link", { name: /^plant carrot whole/ }).click();
  await page.getByRole("button", { name: "Correct", exact: true }).click();
  await page.getByLabel("1 medium").fill("100");
  await page.getByLabel("Where you have it from").fill("weighed on our scale");
  await page.getByRole("button", { name: "Keep the correction" }).click();
  await expect(
    page.getByText("Corrected by you: weighed on our scale"),
  ).toBeVisible();

  await page.goto(`${kitchen.url}/dishes/new`);
  await page.getByLabel("Recipe text").fill(stew);
  await page.getByRole("button", { name: "Read recipe" }).click();
  await expect(
    page.getByRole("row", { name: /3 medium carrots/ }),
  ).toContainText(/300\s*g/);

  await page.getByRole("link", { name: "Kitchen" }).click();
  await page.getByRole("link", { name: "carrot" }).click();
  await expect(page.getByLabel("Facts")).toContainText("Tidewater stew");
  await page.getByRole("button", { name: "Take the correction back" }).click();
  await expect(page.getByText("Corrected by you")).toBeHidden();
  await expect(page.getByLabel("Facts")).toContainText("60–80 g");
});

test("a wrong figure is refused with the reason and nothing is lost", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/larder`);
  await page.getByRole("button", { name: "Add a food" }).click();
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("!!!");
  await page.getByRole("button", { name: "Add to the larder" }).click();
  await expect(page.getByRole("alert")).toContainText(
    "needs a name with letters",
  );
  await expect(
    page.getByRole("textbox", { name: "Name", exact: true }),
  ).toHaveValue("!!!");
});

test("lines, steps and parts of an original are edited freely, with undo", async ({
  page,
}) => {
  await page.goto(kitchen.url);
  await page
    .getByRole("link", { name: /Tidewater stew/ })
    .first()
    .click();
  await page.getByRole("button", { name: "Change carrots" }).click();
  await page.getByLabel(/^Line “3 medium carrots”/).fill("4 parsnips");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("row", { name: /4 parsnips/ })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(
    page.getByRole("row", { name: /3 medium carrots/ }),
  ).toBeVisible();

  // By keyboard: the second part goes before the first, and back by undo.
  await page.getByRole("button", { name: /^Move Dumplings/ }).focus();
  await page.keyboard.press("Alt+ArrowUp");
  await expect(page.locator(".component h2").first()).toHaveText("Dumplings");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.locator(".component h2").first()).toHaveText("Main part");

  // By dragging too.
  await page
    .getByRole("button", { name: /^Move Dumplings/ })
    .dragTo(page.locator(".component").first());
  await expect(page.locator(".component h2").first()).toHaveText("Dumplings");

  await page.getByRole("button", { name: "Add a line" }).first().click();
  await page.getByLabel("New line").fill("1 tsp black salt");
  await page.keyboard.press("Enter");
  await expect(
    page.getByRole("row", { name: /1 tsp black salt/ }),
  ).toContainText("g");
  await page.getByRole("button", { name: "Take black salt away" }).click();
  await expect(
    page.getByRole("row", { name: /1 tsp black salt/ }),
  ).toBeHidden();

  await page.getByRole("button", { name: "Change step 1" }).first().click();
  await page
    .getByLabel("Text of step 1")
    .fill("Mix the flour and the suet and steam for 25 minutes.");
  await page.getByRole("button", { name: "Keep" }).click();
  const does = page.getByRole("list", { name: "What step 1 does" }).first();
  await expect(does).toContainText(/steam .*25 min/);

  // A reading is put right, and the mend taken back.
  await does
    .getByLabel("Put the reading of “mix” right")
    .selectOption("it is only a remark");
  await expect(does).toContainText("put right by you: only a remark");
  await expect(does.getByLabel("Put the reading of “mix” right")).toHaveCount(
    0,
  );
  await does.getByRole("button", { name: "Take back" }).click();
  await expect(does.getByLabel("Put the reading of “mix” right")).toBeVisible();
});

test("an original is given out and read in again", async ({ page }) => {
  await page.goto(kitchen.url);
  await page
    .getByRole("link", { name: /Tidewater stew/ })
    .first()
    .click();
  for (const format of ["Markdown", "JSON-LD", "CSV"]) {
    const download = page.waitForEvent("download");
    await page.getByRole("link", { name: format }).click();
    const text = await readFile(await (await download).path(), "utf8");
    const answer = await page.request.post(`${kitchen.url}/api/read`, {
      data: { text },
    });
    const read = (await answer.json()) as {
      name: string;
      components: { name: string; lines: unknown[]; steps: unknown[] }[];
    };
    expect(read.name, format).toBe("Tidewater stew");
    expect(
      read.components.map((c) => [c.name, c.lines.length, c.steps.length]),
      format,
    ).toEqual([
      ["Dumplings", 2, 1],
      ["Main part", 3, 1],
    ]);
  }
});
