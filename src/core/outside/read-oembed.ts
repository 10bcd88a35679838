import { cleanText } from "../text/clean";
import { urlOf } from "./players";
import { elementsOf } from "./read-html";

/** What a site says of a page of its own. */
export interface Described {
  /** The address of its player; null where it has none. */
  player: string | null;
  title: string;
  /** Whose it is. */
  author: string;
  site: string;
  /** Of the player, px. */
  width: number | null;
  height: number | null;
  /** Seconds. */
  length: number | null;
}

const text = (value: unknown, most: number) => (typeof value === "string" ? plain(value).slice(0, most) : "");
const plain = (value: string) => cleanText(value).replace(/\s+/g, " ").trim();
/** Many write numbers as texts. */
const number = (value: unknown, most: number) => {
  const n = typeof value === "string" ? Number.parseFloat(value) : value;
  return typeof n === "number" && n > 0 && n <= most ? n : null;
};
const whole = (n: number | null) => (n === null ? null : Math.max(1, Math.round(n)));

/**
 * Reads an answer of oEmbed 1.0 (oembed.com, 2.3.4). Of its HTML only the address of the player in it is taken; scripts and everything
 * else it holds are left. Null where it is not such an answer.
 */
export function readOembed(json: string): Described | null {
  let value: unknown;
  try {
    value = JSON.parse(json);
  } catch {
    return null;
  }
  if (typeof value !== "object" || value === null) return null;
  const answer = value as Record<string, unknown>;
  if (!/^(video|rich|photo|link)$/.test(String(answer.type))) return null;
  const frame =
    typeof answer.html === "string"
      ? elementsOf(answer.html.slice(0, 100_000), false).find((e) => e.name === "iframe")?.attributes.src
      : undefined;
  const url = frame === undefined ? null : urlOf(frame.startsWith("//") ? `https:${frame}` : frame);
  return {
    player: url?.href ?? null,
    title: text(answer.title, 300),
    author: text(answer.author_name, 200),
    site: text(answer.provider_name, 200),
    width: whole(number(answer.width, 20_000)),
    height: whole(number(answer.height, 20_000)),
    length: number(answer.duration, 360_000),
  };
}
