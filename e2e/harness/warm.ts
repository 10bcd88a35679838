import type { Browser, BrowserContext, CDPSession, Page } from "@playwright/test";

// A browser that is new for everybody reads the same megabyte of scripts anew for everybody: half of what a short journey costs. As on
// a school's laptop, the browser is kept and the person goes: nothing of theirs stays but what any page may be read from again.

interface Kept {
  url: string;
  context: BrowserContext;
  page: Page;
  /** How many people had it. */
  people: number;
}

const SIZE = { width: 1280, height: 800 };
/** What one browser is used for at most, so that none grows for as long as the run lasts. */
const MOST_PEOPLE = 40;
/** What is kept by an origin; not what was read of scripts. */
const STORED =
  "cookies,local_storage,indexeddb,service_workers,cache_storage,file_systems,shared_storage,storage_buckets";
/** A page of the server's own that runs nothing. */
const REST = "/api/health";
const PAGE_EVENTS = [
  "request",
  "response",
  "requestfailed",
  "requestfinished",
  "console",
  "pageerror",
  "dialog",
] as const;

const free: Kept[] = [];
const used = new Map<BrowserContext, Kept>();
/** Those that were changed in a way that cannot be taken back. */
const altered = new WeakSet<BrowserContext>();

/** What cannot be taken back of a browser: whoever asks for it gets it, and is the last to have that browser. */
function watch(thing: Page | BrowserContext, context: BrowserContext): void {
  const at = thing as unknown as Record<string, (...given: unknown[]) => unknown>;
  for (const name of [
    "addInitScript",
    "emulateMedia",
    "exposeBinding",
    "exposeFunction",
    "grantPermissions",
    "clearPermissions",
    "newCDPSession",
    "setExtraHTTPHeaders",
  ]) {
    const own = at[name];
    if (!own) continue;
    at[name] = (...given) => {
      altered.add(context);
      return own.apply(thing, given);
    };
  }
}

const sessions = new WeakMap<Page, CDPSession>();

/** A browser in which nobody is signed in, with a page in it, on that server. */
export async function warmBrowser(browser: Browser, url: string): Promise<{ context: BrowserContext; page: Page }> {
  const at = free.findLastIndex((k) => k.url === url && k.context.browser() === browser);
  let kept = at < 0 ? undefined : free.splice(at, 1)[0]!;
  if (!kept) {
    const context = await browser.newContext({
      baseURL: url,
      viewport: SIZE,
      reducedMotion: "reduce",
      permissions: ["clipboard-read", "clipboard-write"],
    });
    const page = await context.newPage();
    sessions.set(page, await context.newCDPSession(page));
    watch(page, context);
    watch(context, context);
    kept = { url, context, page, people: 0 };
  }
  kept.people++;
  used.set(kept.context, kept);
  return kept;
}

/** Closes a browser, or takes everything of a person out of it and keeps it for the next. */
export async function leave(context: BrowserContext): Promise<void> {
  const kept = used.get(context);
  used.delete(context);
  for (const one of [...context.pages(), context]) await one.unrouteAll({ behavior: "ignoreErrors" });
  if (
    !kept ||
    altered.has(context) ||
    kept.people >= MOST_PEOPLE ||
    kept.page.isClosed() ||
    !(await empty(kept).then(
      () => true,
      () => false,
    ))
  )
    return context.close();
  free.push(kept);
}

/** Takes everything of a person out; fails where the page no longer answers. */
async function empty({ url, context, page }: Kept): Promise<void> {
  for (const name of PAGE_EVENTS) {
    page.removeAllListeners(name);
    context.removeAllListeners(name);
  }
  for (const other of context.pages()) if (other !== page) await other.close();
  await context.setOffline(false);
  await page.goto(url + REST);
  const size = page.viewportSize();
  if (size?.width !== SIZE.width || size.height !== SIZE.height) await page.setViewportSize(SIZE);
  await page.mouse.move(0, 0);
  await page.evaluate(() => {
    sessionStorage.clear();
    window.name = "";
  });
  await context.clearCookies();
  await sessions.get(page)!.send("Storage.clearDataForOrigin", { origin: url, storageTypes: STORED });
}

/** Whether a browser waits for whoever comes next, and so is nobody's. */
export const isFree = (context: BrowserContext) => free.some((k) => k.context === context);
