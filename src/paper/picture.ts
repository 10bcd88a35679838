// A chart as a picture of pixels. Letters are drawn as outlines of the type that ships with Fastigo, so that it looks the same on every
// machine, whatever type is installed there.
import sharp from "sharp";
import { drawChart } from "@/core/chart/draw/draw-chart";
import type { Scene, Shape } from "@/core/chart/draw/scene";
import { toSvg } from "@/core/chart/draw/to-svg";
import { type Frozen, timelineFromFrozen } from "@/core/formats/frozen";
import { partsOf } from "@/core/text/families";
import { advanceOf, stretchesOf } from "./type";

export interface PictureWishes {
  width: number;
  height: number;
  /** Pixels a px: 1 to 4. */
  scale: number;
  transparent: boolean;
  view: string;
}

export const LARGEST_SCALE = 4;

/** The chart of a timeline as PNG. `picture` gives the address of a picture as data, or null. */
export async function drawPicture(
  frozen: Frozen,
  wishes: PictureWishes,
  picture: (media: string) => Promise<{ bytes: Uint8Array; type: string } | null>,
): Promise<Uint8Array> {
  const scene = drawChart(
    timelineFromFrozen(frozen),
    { width: wishes.width, height: wishes.height },
    { fit: true, closeUps: "auto", ...(wishes.view ? { view: wishes.view } : {}) },
  );
  const items = new Map(frozen.items.map((i) => [i.id, i]));
  const shown = new Set(scene.shapes.flatMap((s) => (s.kind === "picture" ? [s.item] : [])));
  if (scene.backdrop.picture) shown.add(scene.backdrop.picture.item);
  const urls = new Map<string, string>();
  for (const item of shown) {
    const media = items.get(item)?.media;
    const found = media ? await picture(media) : null;
    if (found) urls.set(item, `data:${found.type};base64,${Buffer.from(found.bytes).toString("base64")}`);
  }
  return rasterise(
    outlined(scene, { pictureUrl: (item) => urls.get(item) ?? null, ground: !wishes.transparent }),
    wishes.scale,
  );
}

/** A scene as SVG whose letters are outlines. */
export function outlined(
  scene: Scene,
  { pictureUrl, ground }: { pictureUrl: (item: string) => string | null; ground: boolean },
): string {
  return toSvg(scene, { pictureUrl, ground, text: outlineOf, label: "" });
}

/** An SVG of outlines as PNG, so many pixels a px. */
export async function rasterise(svg: string, scale: number): Promise<Uint8Array> {
  const k = Math.min(LARGEST_SCALE, Math.max(1, scale));
  const png = await sharp(Buffer.from(svg), { density: 72 * k, limitInputPixels: 400_000_000 })
    .png({ compressionLevel: 6 })
    .toBuffer();
  return new Uint8Array(png);
}

function outlineOf(s: Extract<Shape, { kind: "text" }>): string {
  const { family, weight } = partsOf(s.face);
  const stretches = stretchesOf(s.text, { family, weight });
  const widths = stretches.map((t) => advanceOf(t, s.size));
  const whole = widths.reduce((a, b) => a + b, 0);
  let x = s.align === "start" ? 0 : s.align === "middle" ? -whole / 2 : -whole;
  const parts: string[] = [];
  for (const [i, t] of stretches.entries()) {
    const { font } = t.file;
    const k = s.size / font.unitsPerEm;
    const run = font.layout(t.text);
    let pen = 0;
    for (const [n, glyph] of run.glyphs.entries()) {
      const at = run.positions[n]!;
      const d = glyph.path.toSVG();
      if (d)
        parts.push(
          `<path transform="translate(${r(x + (pen + at.xOffset) * k)} ${r(-at.yOffset * k)}) scale(${k} ${-k})" d="${d}"/>`,
        );
      pen += at.xAdvance;
    }
    x += widths[i]!;
  }
  const turn = s.turned ? " rotate(-90)" : "";
  return `<g fill="${s.fill}" transform="translate(${r(s.x)} ${r(s.y)})${turn}">${parts.join("")}</g>`;
}

const r = (v: number) => Math.round(v * 1_000) / 1_000;
