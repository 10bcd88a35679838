import { escapeXml } from "../chart/draw/to-svg";

export const EMBED_HEIGHT = 620;
export const SMALLEST_EMBED = 240;
export const LARGEST_EMBED = 3_000;

export type EmbedHeight = { kind: "fixed"; px: number } | { kind: "growing" };

/** What an embedded page shows first: the chart, one of its events, the reading, or a practice. */
export type EmbedFirst = "" | "read" | "practice" | `e-${string}`;

/**
 * The code that shows a published page inside another: one element, responsive. With a growing height a script of Fastigo's, loaded from
 * where the page is, makes the frame as high as what it holds.
 */
export function embedCode({
  page,
  title,
  first,
  height,
  view = "",
  width,
}: {
  /** The whole address of the page. */
  page: string;
  title: string;
  first: EmbedFirst;
  /** The part of the chart that is seen first, as the chart's address names it; "" for what its author set. */
  view?: string;
  height: EmbedHeight;
  /** px; missing: as wide as there is room. */
  width?: number;
}): string {
  const src = `${page}?as=embed${view ? `&view=${encodeURIComponent(view)}` : ""}${first ? `#${first}` : ""}`;
  const px =
    height.kind === "fixed" ? Math.max(SMALLEST_EMBED, Math.min(LARGEST_EMBED, Math.round(height.px))) : EMBED_HEIGHT;
  const attributes = [
    `src="${escapeXml(src)}"`,
    `title="${escapeXml(title)}"`,
    `width="${width ?? "100%"}" height="${px}"`,
    'style="border:0;max-width:100%"',
    'loading="lazy" allowfullscreen',
    ...(height.kind === "growing" ? ["data-fastigo"] : []),
  ];
  const frame = `<iframe ${attributes.join(" ")}></iframe>`;
  return height.kind === "growing"
    ? `${frame}\n<script async src="${escapeXml(new URL("/embed.js", page).href)}"></script>`
    : frame;
}
