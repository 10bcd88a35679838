import { readFileSync } from "node:fs";
import { join } from "node:path";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { toSvg } from "@/core/chart/draw/to-svg";
import { type Frozen, timelineFromFrozen } from "@/core/formats/frozen";
import { styleOf } from "@/core/looks/style";
import { FAMILIES, type Family } from "@/core/text/families";

/** A family as a style sheet that has its letters inside: for a drawing that stands alone. */
export function typeInside(root: string, family: Family): string {
  const { css, file, weights } = FAMILIES[family];
  return ["latin-ext", "latin"]
    .map((set) => {
      const bytes = readFileSync(join(root, "public", "fonts", `${file}-${set}-wght-normal.woff2`)).toString("base64");
      const range =
        set === "latin-ext" ? "U+0100-02BA,U+1E00-1E9F,U+20A0-20AB" : "U+0000-00FF,U+2000-206F,U+2190-2193,U+2212";
      return `@font-face{font-family:"${css}";src:url(data:font/woff2;base64,${bytes}) format("woff2");font-weight:${weights};unicode-range:${range}}`;
    })
    .join("");
}

/** The chart as an SVG document with its type and pictures inside. */
export async function drawSvg(
  frozen: Frozen,
  {
    width,
    height,
    transparent,
    view,
    root,
  }: { width: number; height: number; transparent: boolean; view: string; root: string },
  picture: (media: string) => Promise<{ bytes: Uint8Array; type: string } | null>,
): Promise<string> {
  const timeline = timelineFromFrozen(frozen);
  const scene = drawChart(timeline, { width, height }, { fit: true, closeUps: "auto", ...(view ? { view } : {}) });
  const items = new Map(frozen.items.map((i) => [i.id, i]));
  const urls = new Map<string, string>();
  const shown = scene.shapes.flatMap((s) => (s.kind === "picture" ? [s.item] : []));
  for (const item of new Set([...shown, ...(scene.backdrop.picture ? [scene.backdrop.picture.item] : [])])) {
    const media = items.get(item)?.media;
    const found = media ? await picture(media) : null;
    if (found) urls.set(item, `data:${found.type};base64,${Buffer.from(found.bytes).toString("base64")}`);
  }
  return toSvg(scene, {
    pictureUrl: (item) => urls.get(item) ?? null,
    label: frozen.title || "Timeline",
    style: typeInside(root, styleOf(timeline).family),
    ground: !transparent,
  });
}
