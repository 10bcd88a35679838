import "server-only";
import { zonedText } from "@/core/time/zoned";
import type { Variant } from "@/features/reader/page-input";
import { findUser } from "@/server/accounts/sessions";
import { canSee, findPublished, type Published } from "@/server/timelines/publish";
import type { PageOptions } from "@/threads/make-page";
import { pageName } from "./reader-response";

/** What is published at an address, if whoever asks may see it. */
export async function seenAt(request: Request, address: string): Promise<Published | null> {
  const published = await findPublished(address);
  if (!published || published.gone) return null;
  const open = published.visibility === "link" || published.visibility === "everybody";
  const account = open ? null : ((await findUser(request))?.id ?? null);
  return (await canSee(published, account)) ? published : null;
}

/** The stored page of what is published at an address: its version, its name, and what is said on it. */
export function publishedPage(
  published: Published,
  address: string,
  outside: PageOptions["outside"],
  variant: Variant = "page",
): [string, string, PageOptions] {
  // Only "everybody" may be listed by search engines, so the page is stored once for each of the two.
  const listed = published.visibility === "everybody";
  return [
    published.version,
    pageName(listed ? "listed" : "", variant, outside),
    {
      variant,
      mediaPath: `/t/${address}/media`,
      note: null,
      outside,
      notes: null,
      preview: `/t/${address}/preview`,
      listed,
      published: zonedText(published.at, published.zone),
    },
  ];
}
