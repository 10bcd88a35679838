import { escapeXml } from "@/core/chart/draw/to-svg";
import { playerAt, siteOfPlayer } from "@/core/outside/players";
import { safeAddress } from "@/core/text/description";
import { secondText } from "@/core/text/webvtt";
import { WORDS } from "@/core/words/reader";
import { type FrozenItem, mediaUrl, type ReaderPage } from "./page-input";

/** Whether the page may show a player of another site. */
export function hasOutside(p: Pick<ReaderPage, "frozen" | "outside" | "variant">): boolean {
  return outsideOrigins(p).length > 0;
}

/** The origins of the players that may be shown in it: none of them is asked for anything before one agrees. */
export function outsideOrigins({
  frozen,
  outside,
  variant,
}: Pick<ReaderPage, "frozen" | "outside" | "variant">): string[] {
  if (outside.rule === "never" || variant === "print") return [];
  const sites = new Set(frozen.items.flatMap((i) => siteOfPlayer(outside.sites, i.player ?? "") ?? []));
  return [...new Set([...sites].flatMap((s) => s.origins))].sort();
}

const hostOf = (address: string) => new URL(address).host.replace(/^www\./, "");

/**
 * A video or sound that stays at another site: its still, title, length, whose it is and its address. A script makes a player of the
 * link once one has agreed; without one it leads there.
 */
export function outsideFigure(
  p: Pick<ReaderPage, "mediaPath" | "endings" | "variant" | "outside">,
  m: FrozenItem,
  sizeClass: (width: number, height: number) => string,
  spoken: string,
): string {
  const address = safeAddress(m.address);
  const site = p.outside.rule === "never" ? null : siteOfPlayer(p.outside.sites, m.player);
  const size = m.width && m.height ? sizeClass(m.width, m.height) : "";
  const credit = [m.credit, m.licence].filter(Boolean).join(", ");
  const said = m.caption || m.text;
  const facts = [
    said ? `<b>${escapeXml(said)}</b>` : "",
    m.length ? secondText(Math.round(m.length)) : "",
    escapeXml(credit),
    address ? `<a href="${escapeXml(address)}" rel="noopener nofollow">${escapeXml(hostOf(address))}</a>` : "",
  ];
  const caption = `<figcaption>${facts.filter(Boolean).join(". ")}${p.outside.rule === "never" ? ` <i>${WORDS.notPlayedHere}</i>` : ""}</figcaption>`;
  if (p.variant === "print")
    return `<figure><figcaption>${m.kind === "sound" ? WORDS.aSoundElsewhere : WORDS.aVideoElsewhere}: ${facts.filter(Boolean).join(". ")}</figcaption>${spoken}</figure>`;
  const still = m.media
    ? `<img src="${escapeXml(mediaUrl(p, m.media, "medium"))}" alt="" loading="lazy"${size && ` width="${m.width}" height="${m.height}" class="${size}"`}>`
    : `<span class="blank ${size}"></span>`;
  if (!address || p.outside.rule === "never")
    return `<figure class="outside">${m.media ? still : ""}${caption}${spoken}</figure>`;
  const name = site?.name ?? hostOf(address);
  const player = site
    ? ` data-player="${escapeXml(playerAt(site, m.player, m))}" data-site="${escapeXml(name)}" data-size="${size}"${p.outside.rule === "always" ? " data-always" : ""}`
    : "";
  const words = site ? WORDS.playFrom(name) : WORDS.openAt(name);
  return `<figure class="outside"><a class="play" href="${escapeXml(address)}" rel="noopener nofollow" aria-label="${escapeXml(m.text ? `${words}: ${m.text}` : words)}"${player}>${still}<span class="go"><svg width="14" height="16" viewBox="0 0 14 16" aria-hidden="true"><path d="M1 1 13 8 1 15z" fill="currentColor"/></svg>${escapeXml(words)}</span></a>${caption}${spoken}</figure>`;
}

/** A web page as a card: what it says of itself, or what an editor wrote instead. */
export function pageCard(m: FrozenItem): string {
  const address = safeAddress(m.address);
  const title = escapeXml(m.text || m.address);
  return `<figure class="card">${address ? `<a href="${escapeXml(address)}" rel="noopener nofollow">${title}</a>` : `<b>${title}</b>`}${m.caption ? `<p>${escapeXml(m.caption)}</p>` : ""}<figcaption>${[escapeXml([m.credit, m.licence].filter(Boolean).join(", ")), address ? escapeXml(hostOf(address)) : ""].filter(Boolean).join(". ")}</figcaption></figure>`;
}
