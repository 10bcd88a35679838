import { test as base } from "@playwright/test";
import { isFree, leave } from "./warm";

/**
 * A journey that closes what it opened: a page that is left open goes on listening, drawing and asking, for as long as the run lasts, and
 * a hundred of them take the machine from those that come after.
 */
export const test = base.extend<{ closed: undefined }>({
  closed: [
    async ({ browser }, use) => {
      await use(undefined);
      for (const context of browser.contexts()) if (!isFree(context)) await leave(context);
    },
    { auto: true },
  ],
});
