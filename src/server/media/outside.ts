import "server-only";
import { type PlayerSite, siteOf, siteOfPlayer, urlOf } from "@/core/outside/players";
import { addressIn } from "@/core/outside/read-embed";
import { type Described, readOembed } from "@/core/outside/read-oembed";
import { readPage } from "@/core/outside/read-page";
import { type Failure, fail, isFailure } from "../http/failure";
import { fetchAddress } from "./fetch-address";
import { nameIn } from "./fetch-picture";
import { allowedHosts } from "./guarded-get";
import { kindOf } from "./kinds";
import { type Media, makePicture } from "./make-media";
import { playerSites } from "./players";
import { MOST_PICTURE, MOST_VIDEO } from "./room";
import { IncomingFile } from "./uploads";

/** What an entry says of something that stays where it is. */
export interface Outside {
  kind: "video" | "sound" | "page";
  /** "" for a web page. */
  player: string;
  text: string;
  caption: string;
  credit: string;
  width: number | null;
  height: number | null;
  length: number | null;
}
/** What was found at an address on that day (ISO date): a file, of which a copy is kept; or what stays there. */
export type Found = { address: string; foundOn: string } & ({ media: Media } | { outside: Outside });

/** What a page says of itself stands at its beginning, within so many bytes. */
const HEAD = 400_000;
const MOST_OEMBED = 200_000;
/** A large file may take so long. */
const FILE_MS = 180_000;

/**
 * Finds out what is meant by an address, or by code made for other pages: a file of a picture, video or sound, which is kept; a page of a
 * site whose player is allowed here; any other web page, of which a card is made. Nothing that was pasted is run.
 */
export async function findOutside(timeline: string, account: string, pasted: string): Promise<Failure | Found> {
  const address = addressIn(pasted);
  if (address === null) return fail(pasted.trim().startsWith("<") ? "embed_empty" : "address_malformed");
  const foundOn = new Date().toISOString().slice(0, 10);
  const sites = playerSites();
  const isCode = pasted.trim().startsWith("<");
  const site = siteOf(sites, new URL(address)) ?? (isCode ? siteOfPlayer(sites, address) : null);
  if (site) {
    const outside = await describedBy(site, address);
    return isFailure(outside) ? outside : { outside, address, foundOn };
  }
  const file = new IncomingFile(timeline, account, nameIn(new URL(address)) || new URL(address).hostname);
  const whole = async (): Promise<Failure | Found> => {
    const answer = await fetchAddress(address, {
      allowed: allowedHosts(),
      mostBytes: MOST_PICTURE,
      accept: "image/*, video/*, audio/*, text/html;q=0.8, */*;q=0.1",
      timeMs: FILE_MS,
      stream: { takes: (type) => /^(?:video|audio)\//i.test(type), mostBytes: MOST_VIDEO, write: (p) => file.write(p) },
    });
    if (isFailure(answer)) return answer;
    const { bytes, url, type } = answer;
    if (/^(?:video|audio)\//i.test(type)) {
      const media = await file.finish();
      return isFailure(media) ? media : { ...media, address, foundOn };
    }
    const kind = await kindOf(bytes);
    if (kind === "unread") return fail("picture_unread");
    if (kind?.kind === "picture") {
      const media = await makePicture(timeline, account, nameIn(url) || url.hostname, bytes);
      return isFailure(media) ? media : { media, address, foundOn };
    }
    if (kind) {
      await file.write(bytes);
      const media = await file.finish();
      return isFailure(media) ? media : { ...media, address, foundOn };
    }
    if (!/^(?:text\/html|application\/xhtml\+xml)/i.test(type)) return fail("address_no_media");
    return { ...(await fromPage(textOf(bytes.subarray(0, HEAD), type), url)), address, foundOn };
  };
  const found = await whole();
  if (isFailure(found)) await file.discard();
  return found;
}

/** What a page says of itself; where it has a player that is allowed here, the player. */
async function fromPage(html: string, url: URL): Promise<{ outside: Outside }> {
  const card = readPage(html, url.href);
  const site = card.oembed ? playerSites().find((s) => s.oembed !== "" && card.oembed!.startsWith(s.oembed)) : null;
  const outside = site && (await describedBy(site, url.href));
  if (outside && !isFailure(outside)) return { outside };
  return {
    outside: {
      kind: "page",
      player: "",
      text: card.title || url.host,
      caption: card.description,
      credit: [card.author, card.site].filter(Boolean).join(", "),
      width: null,
      height: null,
      length: null,
    },
  };
}

/** A text as its header or its own first lines say it is written; as UTF-8 where neither does. */
function textOf(bytes: Buffer, type: string): string {
  const named = /charset=["']?([\w-]+)/i;
  const label = named.exec(type)?.[1] ?? named.exec(bytes.toString("latin1", 0, 1_024))?.[1] ?? "utf-8";
  try {
    return new TextDecoder(label).decode(bytes);
  } catch {
    return new TextDecoder().decode(bytes);
  }
}

/** Asks a site what is on a page of its own. */
async function describedBy(site: PlayerSite, address: string): Promise<Failure | Outside> {
  const said = await ask(site, address);
  // Where the player itself was pasted it is known, whatever the site says of it.
  const own = siteOfPlayer([site], address) && !siteOf([site], new URL(address)) ? address : null;
  if (isFailure(said) && !own) return said;
  const described = isFailure(said) ? null : said;
  const player = described?.player ?? own;
  if (!player || !siteOfPlayer([site], player)) return fail("player_unread");
  return played(site, player, described ?? {});
}

function played(site: PlayerSite, player: string, said: Partial<Described>): Outside {
  return {
    kind: site.plays,
    player,
    text: said.title ?? "",
    caption: "",
    credit: [said.author, said.site || site.name].filter(Boolean).join(", "),
    width: said.width ?? null,
    height: said.height ?? null,
    length: said.length ?? null,
  };
}

async function ask(site: PlayerSite, address: string): Promise<Failure | Described> {
  const url = urlOf(site.oembed);
  if (!url) return fail("player_unread");
  url.searchParams.set("format", "json");
  url.searchParams.set("url", address);
  const answer = await fetchAddress(url.href, {
    allowed: allowedHosts(),
    mostBytes: MOST_OEMBED,
    accept: "application/json",
  });
  if (isFailure(answer)) return fail("player_unread");
  return readOembed(textOf(answer.bytes, answer.type)) ?? fail("player_unread");
}
