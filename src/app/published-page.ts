import "server-only";
import { zonedText } from "@/core/time/zoned";
import type { Variant } from "@/features/reader/page-input";
import type { Published } from "@/server/timelines/publish";
import type { PageOptions } from "@/threads/make-page";
import { pageName } from "./reader-response";

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
