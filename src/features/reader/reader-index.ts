import { escapeXml } from "@/core/chart/draw/to-svg";
import type { FrozenEvent } from "@/core/formats/frozen";
import { plainTextOf } from "@/core/text/description";
import { whenLabel } from "@/core/time/write-when";
import { byTime, type Group } from "@/core/timeline/groups";
import { mannerOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/index-view";
import { WORDS as READER } from "@/core/words/reader";
import type { StyledPage } from "./page-input";
import { chunksOf, isMany } from "./index-chunks";
import { mark } from "./reader-mark";

/** So much of a description stands in the index itself, characters; with a script an event opens whole. */
const EXCERPT = 240;

export const hasIndex = (p: Pick<StyledPage, "variant" | "frozen">): boolean =>
  p.variant === "page" && p.frozen.events.length > 0;

/**
 * Every event in a plain list, by time; each opens in place. What searches it and groups it otherwise is fetched when the index is
 * first looked at (`reader-index-list.ts`); without a script the list is complete.
 */
export function indexSection(p: StyledPage, script: string): string {
  if (!hasIndex(p)) return "";
  const { frozen } = p;
  const manner = mannerOf(frozen);
  const categories = new Map(frozen.categories.map((c) => [c.id, c]));
  const events = new Map(frozen.events.map((e) => [e.id, e]));
  const row = (e: FrozenEvent) => {
    const category = categories.get(e.category ?? "");
    const excerpt = excerptOf(plainTextOf(e.description));
    const tags = e.tags ?? [];
    const id = escapeXml(e.id);
    return `<li data-id="${id}"${category ? ` data-category="${escapeXml(category.id)}"` : ""}${tags.length > 0 ? ` data-tags="${escapeXml(tags.join("\n"))}"` : ""}><details><summary>${category ? mark(p.look, { ...category, id: `i-${id}` }) : ""}<b>${escapeXml(whenLabel(e.when, manner))}</b> <span>${escapeXml(e.title || READER.untitled)}</span></summary><div class="more">${excerpt && `<p>${escapeXml(excerpt)}</p>`}<p class="lead"><a href="#e-${id}" data-lead="read">${WORDS.readIt}</a></p></div></details></li>`;
  };
  const group = (g: Group) =>
    `<section><h3>${escapeXml(g.name || WORDS.noDate)}</h3>${chunksOf(g.ids)
      .map((ids) => `<ul${classOf(ids)}>${ids.map((id) => row(events.get(id)!)).join("")}</ul>`)
      .join("")}</section>`;
  return `<section id="index" aria-label="${WORDS.index}" data-script="${escapeXml(script)}"><h2>${WORDS.indexOf(frozen.events.length)}</h2><div class="groups">${byTime(frozen.events, manner).map(group).join("")}</div></section>`;
}

const classOf = (ids: readonly string[]) => (isMany(ids) ? ' class="many"' : "");

/** The first words of a text, whole. */
function excerptOf(text: string): string {
  const plain = text.replaceAll(/\s+/g, " ").trim();
  if (plain.length <= EXCERPT) return plain;
  return `${plain.slice(0, plain.lastIndexOf(" ", EXCERPT))}…`;
}
