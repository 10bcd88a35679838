import type { Page } from "@playwright/test";

/**
 * The first answer to a GET of that address is kept back, as by a slow line, until what is given back is called: that ends when the page
 * has had time to draw it.
 */
export async function firstAnswerLate(page: Page, address: string): Promise<() => Promise<void>> {
  let answer = () => {};
  const late = new Promise<void>((resolve) => {
    answer = resolve;
  });
  let isFirst = true;
  let arrived = Promise.resolve<unknown>(null);
  await page.route(address, async (route) => {
    if (!isFirst || route.request().method() !== "GET") return route.continue();
    isFirst = false;
    arrived = page.waitForEvent("requestfinished", (r) => r === route.request());
    const response = await route.fetch();
    await late;
    await route.fulfill({ response });
  });
  return async () => {
    answer();
    await arrived;
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  };
}
