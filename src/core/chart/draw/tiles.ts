import { type Tile, TEXTURE_TILES, TILES } from "../style/patterns";
import type { Texture } from "../../timeline/looks";
import type { PatternInk, Scene } from "./scene";

/** A tile with the ink it is drawn in, for whoever paints: the same for patterns and for textures. */
export interface InkedTile {
  /** Tells it from all others. */
  key: string;
  tile: Tile;
  ink: string;
  opacity: number;
  /** Dots are seen less than lines, and are drawn so much stronger. */
  dots: number;
  scale: number;
}

export function patternTile(p: PatternInk): InkedTile {
  const { name, ink, opacity, scale } = p;
  const dots = Math.min(1, opacity + 0.15);
  return { key: `${name}-${ink}-${opacity}-${scale}`, tile: TILES[name], ink, opacity, dots, scale };
}

export function textureTile(t: { name: Exclude<Texture, "">; ink: string; opacity: number }): InkedTile {
  const { name, ink, opacity } = t;
  return { key: `${name}-${ink}-${opacity}`, tile: TEXTURE_TILES[name], ink, opacity, dots: opacity * 1.6, scale: 1 };
}

/** Where the picture behind a drawing stands, px, and what of it: it fills the drawing, or all of it is seen in its middle. */
export function backPlace({ width, height, backdrop }: Pick<Scene, "width" | "height" | "backdrop">): {
  x: number;
  y: number;
  w: number;
  h: number;
} {
  const { picture } = backdrop;
  const all = { x: 0, y: 0, w: width, h: height };
  if (!picture || picture.fit === "fill" || !picture.proportion) return all;
  const w = Math.min(width, height * picture.proportion);
  const h = w / picture.proportion;
  return { x: (width - w) / 2, y: (height - h) / 2, w, h };
}
