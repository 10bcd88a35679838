import { cleanText } from "../text/clean";
import { urlOf } from "./players";
import { elementsOf } from "./read-html";

/** What a web page says of itself. */
export interface PageCard {
  title: string;
  description: string;
  author: string;
  site: string;
  /** Where it says what player it has (oEmbed 1.0, 4: discovery); null where it does not. */
  oembed: string | null;
}

/** Names of what a page says, the best first (HTML's own, the Open Graph protocol's, Dublin Core's). */
const NAMES = {
  title: ["og:title", "twitter:title", "dc.title"],
  description: ["og:description", "description", "twitter:description", "dc.description"],
  author: ["author", "article:author", "dc.creator"],
  site: ["og:site_name", "application-name"],
} as const;

const plain = (value: string, most: number) => cut(cleanText(value).replace(/\s+/g, " ").trim(), most);

/** Cut at a word, with a mark that it was. */
function cut(text: string, most: number): string {
  if (text.length <= most) return text;
  const whole = text.slice(0, most - 1);
  return `${whole.slice(0, whole.lastIndexOf(" ") > most / 2 ? whole.lastIndexOf(" ") : undefined)}…`;
}

/** Reads what the page at an address says of itself. Nothing of it is run or fetched. */
export function readPage(html: string, address: string): PageCard {
  const elements = elementsOf(html, true);
  const said = new Map<string, string>();
  for (const { name, attributes: a } of elements) {
    const key = (a.property ?? a.name ?? "").toLowerCase();
    if (name === "meta" && key && a.content?.trim() && !said.has(key)) said.set(key, a.content);
  }
  const first = (names: readonly string[]) => names.map((n) => said.get(n)).find((v) => v !== undefined);
  const element = (name: string) => elements.find((e) => e.name === name && e.words.trim() !== "")?.words;
  const link = elements.find(
    (e) => e.name === "link" && /json\+oembed/i.test(e.attributes.type ?? "") && e.attributes.href,
  );
  const author = first(NAMES.author) ?? "";
  return {
    title: plain(first(NAMES.title) ?? element("title") ?? element("h1") ?? "", 300),
    description: plain(first(NAMES.description) ?? "", 500),
    // Some name the address of a profile there.
    author: urlOf(author) ? "" : plain(author, 200),
    site: plain(first(NAMES.site) ?? new URL(address).host.replace(/^www\./, ""), 200),
    oembed: (link && urlOf(link.attributes.href!, address)?.href) ?? null,
  };
}
