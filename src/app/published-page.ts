import "server-only";
import { WORDS } from "@/core/words/published-pages";
import { zonedText } from "@/core/time/zoned";
import type { Variant } from "@/features/reader/page-input";
import { findUser } from "@/server/accounts/sessions";
import { plainPage } from "@/server/http/plain-page";
import { hasPass } from "@/server/publishing/pass";
import { canSee, findPublished, isOpenToAll, type Published } from "@/server/publishing/published";
import type { PageOptions } from "@/threads/make-page";
import { pageName } from "./reader-response";

/** What is published at an address, if whoever asks may see it. */
export async function seenAt(request: Request, address: string): Promise<Published | null> {
  const published = await findPublished(address);
  if (!published) return null;
  return (await maySee(request, published, await askerOf(request, published))) ? published : null;
}

/** Who asks for a page; nobody is looked up where everybody sees it. */
async function askerOf(request: Request, published: Published): Promise<string | null> {
  return isOpenToAll(published) ? null : ((await findUser(request))?.id ?? null);
}

/** Whether a person, in the browser they ask with, may see a published page. */
export async function maySee(request: Request, published: Published, account: string | null): Promise<boolean> {
  if (await canSee(published, account)) return true;
  return published.visibility === "password" && canSee(published, account, await hasPass(request, published));
}

/** Why a page is not shown to whoever asks: one page that says so, with what can be done. In a frame its links open outside of it. */
export function notShown(published: Published | null, address: string, variant: Variant, wrong = ""): Response {
  const framed = variant === "embed";
  const say = (status: number, title: string, text: string, more: Parameters<typeof plainPage>[3] = {}) =>
    plainPage(status, title, text, { framed, ...more });
  if (!published) return say(404, WORDS.thereIsNoTimelineHere, WORDS.theAddressMayBeMistyped);
  const when = (at: Date | null) => (at ? zonedText(at, published.zone) : "");
  switch (published.state) {
    case "taken_back":
      return say(410, WORDS.thisTimelineHasBeenTaken, WORDS.itsAuthorHasTakenIt);
    case "hidden":
      return say(410, WORDS.hidden, WORDS.hiddenMore);
    case "not_yet":
      return say(404, WORDS.notYet, WORDS.notYetMore(when(published.opensAt)));
    case "over":
      return say(410, WORDS.over, WORDS.overMore(when(published.closesAt)));
  }
  const whole = `/t/${published.address}`;
  if (published.visibility === "password") {
    if (framed)
      return say(404, WORDS.notInFrames, WORDS.notInFramesMore, { link: { to: whole, text: WORDS.openOnItsOwn } });
    return say(401, WORDS.withAPassword, wrong || WORDS.withAPasswordMore, {
      form: {
        action: `/api/published/${encodeURIComponent(published.address)}/pass`,
        label: WORDS.password,
        button: WORDS.open,
        wrong: wrong !== "",
      },
    });
  }
  return say(404, WORDS.thereIsNothingHereThat, framed ? WORDS.notInFramesMore : signInAs(published.visibility), {
    link: framed ? { to: whole, text: WORDS.openOnItsOwn } : { to: `/sign-in?to=/t/${address}`, text: WORDS.signIn },
  });
}

function signInAs(visibility: Published["visibility"]): string {
  if (visibility === "school") return WORDS.signInAsSomebodyOfSchool;
  return visibility === "class" ? WORDS.signInAsSomebodyOf : WORDS.signInAsOneOf;
}

/** The stored page of what is published: its version, its name, and what is said on it. */
export function publishedPage(
  published: Published,
  outside: PageOptions["outside"],
  variant: Variant = "page",
): [string, string, PageOptions] {
  // Only "everybody" may be listed by search engines, so the page is stored once for each of the two.
  const listed = published.visibility === "everybody";
  const address = `/t/${published.address}`;
  return [
    published.version,
    pageName(listed ? "listed" : "", variant, outside),
    {
      variant,
      mediaPath: `${address}/media`,
      note: null,
      outside,
      notes: null,
      address,
      listed,
      published: { at: published.at.toISOString(), zone: published.zone },
    },
  ];
}

/** The rule for who may show a page in a frame: Fastigo's own pages, and the sites its author allows where it is open to all. */
export function frameRule(published: Published, variant: Variant): string {
  const sites = variant === "embed" && isOpenToAll(published) ? published.embedSites : [];
  return `frame-ancestors ${["'self'", ...sites].join(" ")}`;
}
