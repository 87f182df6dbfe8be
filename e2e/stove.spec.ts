import { expect, test, type Browser, type Page } from "@playwright/test";

import { expectReadable } from "./axe";
import { Kitchen } from "./kitchen";

test.describe.configure({ mode: "serial" });

const stew =
  "Root stew\n\nServes 4\n\n400 g carrots, sliced\n2 onions, chopped\n400 g tinned tomatoes\n1 tsp salt\n\nMethod\n\n1. Soften the onions for 8 minutes.\n2. Add the carrots, tomatoes and salt and simmer for 40 minutes until tender.";
const fritters =
  "Corn fritters\n\nServes 4\n\n300 g sweetcorn\n120 g plain flour\n150 ml water\n500 ml vegetable oil\n\nMethod\n\n1. Mix the flour, water and sweetcorn to a batter.\n2. Heat the oil to 175 C and deep-fry spoonfuls of the batter for 4 minutes until golden.";

let kitchen: Kitchen;
let address = "";
test.beforeAll(async ({ request }) => {
  kitchen = await Kitchen.open();
  const dishes = [];
  for (const text of [stew, fritters]) {
    const made = await request.post(`${kitchen.url}/api/dishes`, {
      data: { text },
    });
    expect(made.status()).toBe(201);
    const dish = (await made.json()) as { id: string };
    dishes.push({ id: dish.id, servings: 4 });
  }
  // A supper that should have been begun twenty minutes ago.
  const made = await request.post(`${kitchen.url}/api/days`, {
    data: { name: "Late supper", serveAt: "2030-01-05T19:30:00Z", dishes },
  });
  interface Day {
    id: string;
    version: number;
    plan: { spanMinutes: number };
    document: { serveAt: string; kitchen: { awake: object | null } };
  }
  let day = (await made.json()) as Day;
  const save = async (document: Day["document"]) => {
    const saved = await request.put(`${kitchen.url}/api/days/${day.id}`, {
      data: document,
      headers: { "If-Match": `"${day.version}"` },
    });
    expect(saved.status()).toBe(200);
    day = (await saved.json()) as Day;
  };
  // Tests run at any hour.
  await save({
    ...day.document,
    kitchen: { ...day.document.kitchen, awake: null },
  });
  const serveAt = new Date(
    Date.now() + (day.plan.spanMinutes - 20) * 60_000,
  ).toISOString();
  await save({ ...day.document, serveAt: `${serveAt.slice(0, 19)}Z` });
  address = `${kitchen.url}/days/${day.id}`;
});
test.afterAll(async () => {
  await kitchen.close();
});

/** Everything that can be tapped is large enough for a knuckle. */
async function large(page: Page) {
  const small = await page
    .locator(".stove button:visible, .stove a:visible")
    .evaluateAll((all) =>
      all
        .map((b) => ({
          text: b.textContent,
          ...b.getBoundingClientRect().toJSON(),
        }))
        .filter((b) => b.width < 63.5 || b.height < 63.5)
        .map((b) => `${b.text} ${b.width}x${b.height}`),
    );
  expect(small).toEqual([]);
}

const sizes = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
  { width: 844, height: 390 },
];

/** Begins the late supper on a screen and opens it on a phone. */
async function begin(page: Page, browser: Browser) {
  await page.goto(address);
  await page.getByRole("button", { name: "Begin the day" }).click();
  const now = page.getByRole("region", { name: "To do now" });
  await expect(now.getByRole("heading")).toBeVisible();
  await expect(page.getByText(/minutes behind the plan/)).toBeVisible();
  await page.getByRole("button", { name: "Seen" }).click();
  await expect(page.getByText(/minutes behind the plan/)).toBeHidden();
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 } })
  ).newPage();
  await phone.goto(page.url());
  const heading = () => now.getByRole("heading").innerText();

  // The two agree, tap by tap.
  const before = await heading();
  await page.keyboard.press("Enter");
  await expect(now.getByRole("heading")).not.toHaveText(before);
  await expect(phone.getByRole("heading", { level: 1 })).toHaveText(
    await heading(),
  );
  return { now, phone, heading };
}

test(
  "a tap is on both screens at once",
  { tag: "@alone" },
  async ({ page, browser }) => {
    const { phone } = await begin(page, browser);
    // From tap to changed screen, and to the other one.
    const changes = (p: Page) =>
      p.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const watch = new MutationObserver(() => {
              watch.disconnect();
              resolve(Date.now());
            });
            const held = document.querySelector(".stove-count");
            if (held)
              watch.observe(held, {
                characterData: true,
                subtree: true,
                childList: true,
              });
          }),
      );
    let [own, other] = [Infinity, Infinity];
    for (const key of ["Backspace", "Enter", "Backspace", "Enter"]) {
      const [here, there] = [changes(page), changes(phone)];
      await page.evaluate((k) => {
        (window as { tapped?: number }).tapped = Date.now();
        window.dispatchEvent(new KeyboardEvent("keydown", { key: k }));
      }, key);
      const at = await page.evaluate(
        () => (window as { tapped?: number }).tapped ?? 0,
      );
      own = Math.min(own, (await here) - at);
      other = Math.min(other, (await there) - at);
    }
    console.log(
      `from tap to changed screen ${own} ms, to the other screen ${other} ms`,
    );
    expect(own).toBeLessThan(100);
    expect(other).toBeLessThan(300);
  },
);

test("an evening of two dishes on two screens, with scale and probe, outlives a power cut", async ({
  page,
  browser,
  request,
}) => {
  test.setTimeout(240_000);
  const { now, phone, heading } = await begin(page, browser);
  const cook = page.url().split("/").at(-1) ?? "";
  const board = (p: Page) => p.getByRole("button", { name: /^Board/ });

  // The phone does what there is, until the salt goes in; there it is held back.
  for (let i = 0; i < 30; i++) {
    const text = await heading();
    if (/salt/.test(text)) break;
    const first = phone
      .getByRole("navigation", { name: "What you can do" })
      .getByRole("button")
      .first();
    if (await first.isDisabled()) {
      await phone
        .getByRole("button", { name: /left|time is up/ })
        .first()
        .click();
      await phone
        .getByRole("button", { name: "Done", exact: true })
        .last()
        .click();
    } else await first.click();
    await expect(now.getByRole("heading")).not.toHaveText(text);
  }
  const salt = page.getByRole("button", { name: /^1 tsp salt/ });
  await salt.click();
  await expect(
    phone.getByRole("button", { name: /1 tsp salt, not now/ }),
  ).toBeVisible();

  // The carrots are weighed: the scale ends it by itself.
  const drive = (data: object) =>
    request.post(`${kitchen.url}/api/bench`, { data });
  await drive({ put: 310 });
  await page.waitForTimeout(2_000);
  await page.getByRole("button", { name: "Weigh carrot" }).click();
  const weighing = page.getByRole("region", { name: "Weighing" });
  await expect(weighing).toContainText(/(39|40)\d g more/);
  await drive({ add: 350 });
  await expect(weighing).toContainText(/5\d g more|4\d g more/);
  await drive({ add: 51 });
  await expect(weighing).toBeHidden();
  await expect(
    page.getByRole("button", { name: "Weigh carrot" }),
  ).toContainText(/40\d g|39\d g/);

  // A deviation, and its undoing.
  await page.keyboard.press("d");
  await page
    .getByRole("button", { name: /^no .*tomato/ })
    .first()
    .click();
  await expect(
    phone.getByRole("button", { name: /tomato.*left out/ }),
  ).toBeVisible();
  await phone.getByRole("button", { name: /^Different/ }).click();
  await phone.getByRole("button", { name: "Close" }).click();
  await page.keyboard.press("s");
  await page.getByRole("button", { name: "take back" }).last().click();
  await expect(
    phone.getByRole("button", { name: /tomato.*left out/ }),
  ).toBeHidden();
  await page.keyboard.press("Escape");

  // The salt is forgotten, asked for, and goes in late.
  await page.keyboard.press("Enter");
  await expect(phone.getByText(/Salt is still on the board/)).toBeVisible();
  await phone.getByRole("button", { name: "It goes in now" }).click();
  await expect(page.getByText(/Salt is still on the board/)).toBeHidden();

  // The probe watches the oil.
  await page.keyboard.press("w");
  await page.getByRole("button", { name: /^reheated/ }).click();
  await drive({ into: 78 });
  await expect(
    page.getByRole("list", { name: "The probe watches" }),
  ).toContainText(/7[5-8] °C/);

  // A timer runs, the power goes, the phone is tapped meanwhile, the power comes back.
  const stove = async () =>
    (await (await request.get(`${kitchen.url}/api/stove/${cook}`)).json()) as {
      now: {
        state: {
          n: number;
          timers: { ends: number; over: number }[];
          different: { text: string }[];
        };
      };
    };
  await page.keyboard.press("t");
  await expect(
    page.getByRole("region", { name: "Goes on by itself" }).getByRole("button"),
  ).toHaveCount(1);
  const kept = await stove();
  await kitchen.kill();
  await phone.getByRole("button", { name: "Weigh", exact: true }).click();
  await phone.getByRole("button", { name: /^kept hot/ }).click();
  await expect(phone.getByText(/The line is gone/)).toBeVisible();
  await kitchen.start();
  await expect(phone.getByText(/The line is gone/)).toBeHidden();
  await expect(
    page.getByRole("list", { name: "The probe watches" }),
  ).toContainText("kept hot");
  const back = await stove();
  expect(back.now.state.n).toBeGreaterThan(kept.now.state.n);
  expect(back.now.state.timers).toEqual(kept.now.state.timers);
  expect(back.now.state.different.map((d) => d.text)).toContainEqual(
    expect.stringContaining("Salt went in late"),
  );
  await page.reload();
  await expect(now.getByRole("heading")).toBeVisible();
  const left = async (p: Page) =>
    (await p.locator(".stove-left").first().innerText()).split(":").map(Number);
  const [a, b] = [await left(page), await left(phone)];
  const seconds = (x: number[]) => (x[0] ?? 0) * 60 + (x[1] ?? 0);
  expect(Math.abs(seconds(a) - seconds(b))).toBeLessThanOrEqual(1);
  expect(await board(page).innerText()).toBe(await board(phone).innerText());

  // Every size, in both schemes, and what opens over it.
  for (const scheme of ["light", "dark"] as const) {
    await page.emulateMedia({ colorScheme: scheme });
    for (const size of sizes) {
      await page.setViewportSize(size);
      await large(page);
      await expectReadable(page);
      expect(
        await page.evaluate(
          () => document.documentElement.scrollWidth <= window.innerWidth,
        ),
      ).toBe(true);
    }
    for (const key of ["w", "b", "s", "?"]) {
      await page.keyboard.press(key);
      await expect(page.getByRole("dialog")).toBeVisible();
      await large(page);
      await expectReadable(page);
      await page.keyboard.press("Escape");
    }
  }
  await page.setViewportSize({ width: 1280, height: 800 });

  // To the end, by keyboard alone.
  for (let i = 0; i < 60; i++) {
    if (await page.getByRole("heading", { name: "All is done." }).isVisible())
      break;
    const count = await page.locator(".stove-count").innerText();
    const doing = page
      .getByRole("navigation", { name: "What you can do" })
      .getByRole("button")
      .first();
    if (await doing.isEnabled()) await page.keyboard.press("Enter");
    else {
      await page.keyboard.press("t");
      await page
        .getByRole("dialog")
        .getByRole("button", { name: "Done", exact: true })
        .focus();
      await page.keyboard.press("Enter");
    }
    await expect
      .poll(async () =>
        [
          await page.locator(".stove-count").innerText(),
          await page.locator(".stove-pot").count(),
          await page.getByRole("dialog").count(),
        ].join(),
      )
      .not.toBe(`${count},0,1`);
    await page.waitForTimeout(150);
  }
  await expect(
    page.getByRole("heading", { name: "All is done." }),
  ).toBeVisible();
  for (
    let i = 0;
    i < 10 &&
    (await page.getByRole("button", { name: "used, not told" }).count()) > 0;
    i++
  ) {
    await page.getByRole("button", { name: "used, not told" }).first().click();
    await page.waitForTimeout(150);
  }
  await page.getByRole("button", { name: "End" }).click();
  await expect(page.getByText(/Salt went in late/)).toBeVisible();
  await expectReadable(page);
  await page
    .getByLabel("How was it?")
    .fill("The salt came late and nobody minded.");
  await page.getByRole("button", { name: "Keep as trial" }).click();
  await expect(page.getByText(/Kept as a trial/)).toBeVisible();
  await expect(phone.getByText(/Salt went in late/)).toBeVisible();
});

test("the bench plays its scenes, and the kitchen shows what was weighed", async ({
  page,
}) => {
  await page.goto(`${kitchen.url}/bench`);
  await page.getByRole("button", { name: "take all off" }).click();
  await page
    .getByRole("listitem")
    .filter({ hasText: "A pot of soup" })
    .getByRole("button", { name: "Play" })
    .click();
  await expect(page.getByRole("region", { name: "Scale" })).toContainText(
    /25\d\d g|250\d g/,
  );
  await page.getByRole("button", { name: "into 60 °C" }).click();
  await expect(page.getByRole("region", { name: "Probe" })).toContainText(
    /5\d\.\d °C|60\.\d °C/,
  );
  await expectReadable(page);
  await page.goto(`${kitchen.url}/kitchen`);
  await expect(page.getByText("Nothing has been weighed yet.")).toBeVisible();
});
