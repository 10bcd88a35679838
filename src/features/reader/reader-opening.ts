import { escapeXml } from "@/core/chart/draw/to-svg";
import { WORDS } from "@/core/words/reader";
import { inText } from "./in-text";
import { deedButtons } from "./reader-deeds";
import { blocksHtml, said } from "./blocks-html";
import { figure } from "./reader-figure";
import type { KeyEntry } from "@/core/looks/key";
import { mark } from "./reader-mark";
import type { StyledPage } from "./page-input";

/** The page a timeline begins with: what it is, by whom, its cover and introduction, and the ways into it. */
export function openingSection(p: StyledPage, key: readonly KeyEntry[], facts: string, strips: string): string {
  const { frozen } = p;
  const onPaper = p.variant === "print";
  const cover = frozen.items.find((i) => i.of === "timeline" && i.list === "media" && i.kind === "picture");
  const by = [frozen.subject, frozen.byline && WORDS.by(frozen.byline)].filter(Boolean).join(" \u00b7 ");
  const ways =
    onPaper || frozen.events.length === 0
      ? ""
      : `<p class="ways"><a class="go" href="#chart">${WORDS.openTheChart}</a><a class="go quiet" href="#read">${WORDS.readFromTheBeginning}</a>${deedButtons(p, "go quiet")}</p><p class="hint">${WORDS.pressToOpen}</p>`;
  const voices = frozen.items.filter((i) => i.of === "timeline" && i.list === "media" && i.kind === "sound");
  const heard = voices.map((v) => figure(p, v)).join("");
  const empty = frozen.events.length === 0 && !onPaper ? `<p>${WORDS.nothingWritten}</p>` : "";
  const whole = ways && `<a class="whole" href="#chart" aria-label="${WORDS.openTheChart}">${strips}</a>`;
  const band = cover !== undefined && frozen.coverPlace === "above" && !onPaper;
  return `<div class="opening${band ? " band" : cover ? "" : " alone"}"><div class="said"><h2${said(frozen)}>${escapeXml(frozen.title || WORDS.untitled)}</h2>${by && `<p class="by">${escapeXml(by)}</p>`}${keyFacts(p, key, facts)}<div class="text"${said(frozen)}>${blocksHtml(frozen.introduction, inText(p))}</div>${heard}${empty}${ways}</div>${cover ? figure(p, cover, band ? "large" : "medium") : ""}</div>${whole}`;
}

/** In numbers and names: how much there is, from when to when, in which categories. */
function keyFacts({ frozen, sources, look }: StyledPage, key: readonly KeyEntry[], facts: string): string {
  const count = (kind: "picture" | "video" | "sound") =>
    frozen.items.filter((i) => i.list === "media" && i.kind === kind && i.of !== "timeline").length;
  const media = [WORDS.pictures(count("picture")), WORDS.videos(count("video")), WORDS.sounds(count("sound"))].filter(
    Boolean,
  );
  const given = sources.entries.length;
  const more = [...media, WORDS.sourcesGiven(given)].filter(Boolean).join(", ");
  const categories = key.map((k) => `<li>${mark(look, { ...k, id: `b-${k.id}` })}${escapeXml(k.name)}</li>`).join("");
  return `<p class="facts">${escapeXml([facts, more].filter(Boolean).join(" \u00b7 "))}</p>${categories && `<ul class="cats" aria-label="${WORDS.categories}">${categories}</ul>`}`;
}
