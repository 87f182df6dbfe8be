import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

/** Every rule of axe holds on the page, or on one part of it. */
export async function expectReadable(page: Page, what = "", within?: string) {
  let axe = new AxeBuilder({ page })
    .options({ resultTypes: ["violations"] })
    // One pass in the page itself: there are no frames from elsewhere.
    .setLegacyMode();
  if (within) axe = axe.include(within);
  const found = await axe.analyze();
  expect(
    found.violations.map(
      (v) => `${what} ${v.id}: ${v.nodes.map((n) => n.html).join(" ")}`,
    ),
  ).toEqual([]);
}
