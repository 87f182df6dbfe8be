import AxeBuilder from "@axe-core/playwright";
import { expect, test, type Page } from "@playwright/test";

import { Kitchen } from "./kitchen";

let kitchen: Kitchen;
test.beforeAll(async () => {
  kitchen = await Kitchen.open();
});
test.afterAll(async () => {
  await kitchen.close();
});

const skink =
  "Cullen skink\n\nServes 4\n\n500 g smoked haddock\n600 ml whole milk\n50 g butter\n1 onion, chopped\n\nMethod\n\n1. Sweat the onion in the butter for 10 minutes.\n2. Poach the haddock in the milk for 5 minutes until it flakes.";

async function clean(page: Page) {
  const found = await new AxeBuilder({ page }).analyze();
  expect(
    found.violations.map((v) => `${v.id}: ${v.nodes[0]?.html ?? ""}`),
  ).toEqual([]);
}

test("a trial is kept, tasted by three phones, one of them offline meanwhile, and heard", async ({
  page,
  browser,
  request,
}) => {
  test.setTimeout(180_000);
  const made = await request.post(`${kitchen.url}/api/dishes`, {
    data: { text: skink },
  });
  const dish = ((await made.json()) as { id: string }).id;
  await page.goto(`${kitchen.url}/dishes/${dish}/trials`);
  await page
    .getByRole("button", { name: "Enter a trial cooked elsewhere" })
    .click();
  await page.getByLabel("How was it?").fill("Thin.");
  await page
    .getByLabel(/What was different/)
    .fill("half the salt\nthe lid was on");
  await page.getByRole("button", { name: "Keep this trial" }).click();
  await expect(page.getByRole("region", { name: "Trial 1" })).toContainText(
    "the lid was on",
  );
  await page.getByLabel(/trial 1,/).check();
  await page.getByLabel(/the original/).check();
  await page.getByRole("button", { name: "Lay the table" }).click();
  await expect(page.getByText("No sheet yet.")).toBeVisible();
  await page.getByRole("button", { name: "Link for a guest" }).click();
  await page.getByRole("button", { name: "for 2 hours" }).click();
  const link = await page.locator(".link-made a").innerText();
  await page.getByRole("dialog").getByRole("button", { name: "Close" }).click();

  const phones: Page[] = [];
  for (let i = 0; i < 3; i++) {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
    });
    phones.push(await context.newPage());
  }
  for (const [i, phone] of phones.entries()) {
    await phone.goto(link);
    await expect(phone.getByRole("heading", { level: 1 })).toContainText(
      /taste [AB]/,
    );
    if (i === 0) await clean(phone);
    if (i === 2) await phone.context().setOffline(true);
    for (const last of [false, true]) {
      await phone
        .getByRole("button", { name: i === 0 ? /^8 / : /^5 / })
        .click();
      const trait = phone.locator(".five").first();
      await trait
        .getByRole("button", { name: i === 0 ? /just right/ : /: too little/ })
        .click();
      await phone.getByRole("button", { name: "maybe" }).click();
      if (!last) await phone.getByRole("button", { name: /^Now / }).click();
    }
    await expect(phone.getByRole("status")).toContainText(
      i === 2 ? "The line is gone" : "Arrived",
    );
  }
  const results = page.getByRole("region", { name: /^Results/ });
  await expect(results).toContainText("2 sheets");
  await phones[2]?.context().setOffline(false);
  await expect(phones[2]?.getByRole("status") ?? page).toContainText("Arrived");
  await expect(results).toContainText("3 sheets");
  await expect(
    results.getByRole("img", { name: /2 too little, 1 just right/ }).first(),
  ).toBeVisible();
  await expect(results).toContainText(
    /2 of 3 said too little .* liked it 3\.0 less/,
  );
  await clean(page);

  // A reload shows what was said; the sheet can be changed until it is closed.
  await phones[1]?.reload();
  await expect(
    phones[1]?.locator('button[aria-pressed="true"]').first() ?? page,
  ).toBeVisible();
  await results.getByRole("button", { name: "Close" }).click();
  await expect(results).toContainText("closed");
  await phones[1]?.reload();
  await expect(
    phones[1]?.getByText("The tasting is over.") ?? page,
  ).toBeVisible();
});
