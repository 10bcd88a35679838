import { test as base } from "@playwright/test";

/**
 * A journey that closes what it opened: a page that is left open goes on listening, drawing and asking, for as long as the run lasts, and
 * a hundred of them take the machine from those that come after.
 */
export const test = base.extend<{ closed: undefined }>({
  closed: [
    async ({ browser }, use) => {
      await use(undefined);
      for (const context of browser.contexts()) {
        for (const one of [...context.pages(), context]) await one.unrouteAll({ behavior: "ignoreErrors" });
        await context.close();
      }
    },
    { auto: true },
  ],
});
