/** A site whose player may be shown in a page, as its operator allows it. */
export interface PlayerSite {
  /** As people know it. */
  name: string;
  /** Addresses of its pages: "https://films.example/watch/*"; a host may begin with "*.". */
  pages: readonly string[];
  /** Where it says what is on a page (oEmbed 1.0, oembed.com); "" where it does not. */
  oembed: string;
  /** Where its player comes from: "https://player.films.example". */
  origins: readonly string[];
  plays: "video" | "sound";
  /** What its player calls the second it begins and ends at, in its query; "" where it has no such thing. */
  begin: string;
  end: string;
}

/**
 * How players of other sites are shown to somebody: asked about once a page, or once for good; never for students of a class that
 * forbids it, and no student says yes for good.
 */
export type OutsideRule = "always" | "ask" | "never";

/** Whether an address is meant by a pattern: the same scheme, the host or one under it, a path in which * is anything. */
export function isMeant(pattern: string, address: URL): boolean {
  const parts = /^(https?:)\/\/([^/]+)(\/.*)?$/.exec(pattern);
  if (!parts) return false;
  const [, scheme, host, path = "/*"] = parts;
  if (address.protocol !== scheme || address.username || address.password) return false;
  if (host!.startsWith("*.") ? !address.host.endsWith(host!.slice(1)) : address.host !== host) return false;
  const pieces = path.split("*").map((p) => p.replace(/[.?+^${}()|[\]\\]/g, "\\$&"));
  return new RegExp(`^${pieces.join(".*")}$`).test(address.pathname + address.search);
}

/** The site an address is a page of. */
export function siteOf(sites: readonly PlayerSite[], address: URL): PlayerSite | null {
  return sites.find((s) => s.pages.some((p) => isMeant(p, address))) ?? null;
}

/** The site a player comes from; null: it is not allowed here, and never shown. */
export function siteOfPlayer(sites: readonly PlayerSite[], player: string): PlayerSite | null {
  const url = urlOf(player);
  return (url && sites.find((s) => s.origins.includes(url.origin))) ?? null;
}

/** The address of a player that begins and ends at so many seconds, where the site has words for it; as a media fragment elsewhere. */
export function playerAt(
  site: Pick<PlayerSite, "begin" | "end">,
  player: string,
  part: { startAt: number | null; endAt: number | null },
): string {
  const url = new URL(player);
  const at = (name: string, second: number | null) => {
    if (name && second !== null) url.searchParams.set(name, String(Math.round(second)));
  };
  at(site.begin, part.startAt);
  at(site.end, part.endAt);
  if (!site.begin && (part.startAt !== null || part.endAt !== null))
    url.hash = `t=${part.startAt ?? 0}${part.endAt === null ? "" : `,${part.endAt}`}`;
  return url.href;
}

/** An address of the web, or null. */
export function urlOf(text: string, base?: string): URL | null {
  try {
    const url = new URL(text.trim(), base);
    return url.protocol === "http:" || url.protocol === "https:" ? url : null;
  } catch {
    return null;
  }
}
