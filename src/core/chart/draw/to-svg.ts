import type { Face } from "../../text/measure";
import { FAMILIES, partsOf } from "../../text/families";
import { SIGN_FIELD, SIGN_PATHS, SIGN_PEN } from "../style/sign-paths";
import { backPlace, type InkedTile, patternTile, textureTile } from "./tiles";
import { type PictureSize, type Scene, type Shape, cropOf, sizeFor } from "./scene";

/** What a face is called in style sheets. */
function cssOf(face: Face): [family: string, weight: number] {
  const { family, weight } = partsOf(face);
  return [FAMILIES[family].css, weight];
}

const fonts = new Map<string, string>();
/** The CSS font of a face. */
export function fontOf(face: Face, sizePx: number): string {
  const key = face + sizePx;
  let font = fonts.get(key);
  if (!font) {
    const [family, weight] = cssOf(face);
    font = `${weight} ${sizePx}px "${family}", sans-serif`;
    fonts.set(key, font);
  }
  return font;
}

export interface SvgOptions {
  /** The address of a picture in a size; null leaves the picture out. */
  pictureUrl: (item: string, size: PictureSize) => string | null;
  /** Where pointing at an event leads; null: nothing to follow. */
  link?: (id: string) => string | null;
  /** Tells ids of one drawing from those of another on the same page. */
  prefix?: string;
  /** A style sheet for a file that stands alone: its fonts. */
  style?: string;
  /** With its ground; left out: whatever lies behind. */
  ground?: boolean;
  /** Writes a text otherwise than as letters: as outlines, where nobody has the type. */
  text?: (shape: Extract<Shape, { kind: "text" }>) => string;
  /** What the drawing is called, for those who cannot see it. */
  label?: string;
}

/** Paints a scene as an SVG document. Every text in it is escaped. */
export function toSvg(scene: Scene, options: SvgOptions): string {
  const prefix = options.prefix ?? "c";
  const used = new Map<string, string>();
  const ground = options.ground ? paintGround(scene, prefix, used, options) : "";
  const body = scene.shapes.map((s) => paint(s, prefix, used, options)).join("");
  const links = options.link
    ? scene.targets
        .map((t) => {
          // Rows and close-ups do nothing in a drawing.
          const to = t.kind === "event" || t.kind === "more" ? options.link!(t.ids[0]!) : null;
          const box = `x="${n(t.x)}" y="${n(t.y)}" width="${n(t.w)}" height="${n(t.h)}" rx="4"`;
          return to
            ? `<a href="${escapeXml(to)}" aria-label="${escapeXml(t.name)}"><rect ${box} class="hit" fill="transparent"/></a>`
            : "";
        })
        .join("")
    : "";
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${n(scene.width)} ${n(scene.height)}" width="${n(scene.width)}" height="${n(scene.height)}" role="${options.link ? "group" : "img"}" aria-label="${escapeXml(options.label ?? "Timeline")}"><defs>${options.style ? `<style>${options.style}</style>` : ""}${[...used.values()].join("")}</defs>${ground}${body}${links}</svg>`;
}

function paint(s: Shape, prefix: string, used: Map<string, string>, options: SvgOptions): string {
  switch (s.kind) {
    case "area": {
      const points = pairs(s.points);
      const stroke = s.stroke
        ? ` stroke="${s.stroke}" stroke-width="${n(s.strokeWidth ?? 1)}" stroke-linejoin="round"`
        : "";
      const opacity = s.opacity === undefined ? "" : ` opacity="${n(s.opacity)}"`;
      const base = `<polygon points="${points}" fill="${s.fill}"${stroke}${opacity}/>`;
      if (!s.pattern) return base;
      return `${base}<polygon points="${points}" fill="url(#${tileId(patternTile(s.pattern), prefix, used)})"${opacity}/>`;
    }
    case "line":
      return `<polyline points="${pairs(s.points)}" fill="none" stroke="${s.stroke}" stroke-width="${n(s.width)}"${s.dash ? ` stroke-dasharray="${s.dash.join(" ")}"` : ""}/>`;
    case "text": {
      if (options.text) return options.text(s);
      const [family, weight] = cssOf(s.face);
      return `<text x="${n(s.x)}" y="${n(s.y)}" font-family="${family}, sans-serif" font-weight="${weight}" font-size="${n(s.size)}" fill="${s.fill}" text-anchor="${s.align}"${s.turned ? ` transform="rotate(-90 ${n(s.x)} ${n(s.y)})"` : ""}>${escapeXml(s.text)}</text>`;
    }
    case "sign": {
      const k = s.size / SIGN_FIELD;
      return `<path d="${SIGN_PATHS[s.sign]}" transform="translate(${n(s.x)} ${n(s.y)}) scale(${Math.round(k * 10_000) / 10_000})" fill="none" stroke="${s.stroke}" stroke-width="${SIGN_PEN}" stroke-linecap="round" stroke-linejoin="round"/>`;
    }
    case "picture": {
      const url = options.pictureUrl(s.item, sizeFor(s));
      return url ? cropped(s, url) : noPicture(s);
    }
  }
}

/** A picture cropped to its place. */
function cropped(s: Extract<Shape, { kind: "picture" }>, url: string): string {
  const box = `x="${n(s.x)}" y="${n(s.y)}" width="${n(s.w)}" height="${n(s.h)}"`;
  if (!s.focus || !s.proportion) return `<image ${box} href="${escapeXml(url)}" preserveAspectRatio="xMidYMid slice"/>`;
  // Cropped by its focus: all of it, in a window.
  const { x, y } = cropOf(s, s.proportion);
  const [w, h] = [s.w / x[1], s.h / y[1]];
  return `<svg ${box}><image x="${n(-x[0] * w)}" y="${n(-y[0] * h)}" width="${n(w)}" height="${n(h)}" href="${escapeXml(url)}" preserveAspectRatio="none"/></svg>`;
}

/** Paper, texture and picture behind a drawing. */
function paintGround(scene: Scene, prefix: string, used: Map<string, string>, options: SvgOptions): string {
  const { paper, texture, picture } = scene.backdrop;
  const fill = (paint: string) => `<rect width="100%" height="100%" fill="${paint}"/>`;
  const url = picture ? options.pictureUrl(picture.item, "medium") : null;
  const place = backPlace(scene);
  const { item = "", proportion = 0, focus = null } = picture ?? {};
  const shown = { kind: "picture" as const, ...place, item, proportion, ...(focus ? { focus } : {}) };
  return (
    fill(paper) +
    (texture ? fill(`url(#${tileId(textureTile(texture), prefix, used)})`) : "") +
    (picture && url ? `<g opacity="${n(picture.opacity)}">${cropped(shown, url)}</g>` : "")
  );
}

/** In place of a picture that is not at hand: an empty frame with hills in it. */
function noPicture({ x, y, w, h }: { x: number; y: number; w: number; h: number }): string {
  const k = Math.min(w, h) / 100;
  const at = (px: number, py: number) => `${n(x + w / 2 + px * k)},${n(y + h / 2 + py * k)}`;
  const hills = [at(-30, 18), at(-10, -14), at(3, 4), at(13, -8), at(30, 18)].join(" ");
  return `<rect x="${n(x + 0.5)}" y="${n(y + 0.5)}" width="${n(w - 1)}" height="${n(h - 1)}" fill="#F6F8F7" stroke="#D5DEDC"/><polygon points="${hills}" fill="#D5DEDC"/>`;
}

/** The id of a tile in this drawing, which defines it where it is used first. */
function tileId(t: InkedTile, prefix: string, used: Map<string, string>): string {
  const id = `${prefix}-${t.key.replaceAll(/[^A-Za-z0-9-]/g, "_")}`;
  if (!used.has(id)) used.set(id, tileDef(t, id));
  return id;
}

/** A tile as the definition of a pattern. */
export function tileDef({ tile: t, ink, opacity, dots, scale }: InkedTile, id: string): string {
  const lines = t.lines.map(
    (l) =>
      `<polyline points="${pairs(l)}" fill="none" stroke="${ink}" stroke-opacity="${n(opacity)}" stroke-width="${t.width}"/>`,
  );
  const circles = t.dots.map(
    ([x, y, r]) => `<circle cx="${x}" cy="${y}" r="${r}" fill="${ink}" fill-opacity="${n(dots)}"/>`,
  );
  const scaled = scale === 1 ? "" : ` patternTransform="scale(${n(scale)})"`;
  return `<pattern id="${id}" width="${t.size}" height="${t.size}" patternUnits="userSpaceOnUse"${scaled}>${lines.join("")}${circles.join("")}</pattern>`;
}

function pairs(points: readonly number[]): string {
  let text = "";
  for (let i = 0; i < points.length; i += 2) text += `${i ? " " : ""}${n(points[i]!)},${n(points[i + 1]!)}`;
  return text;
}

function n(value: number): string {
  return String(Math.round(value * 100) / 100);
}

/** Text made safe for XML and HTML, in elements and in quoted attributes. */
export function escapeXml(text: string): string {
  return (
    text
      // biome-ignore lint/suspicious/noControlCharactersInRegex: XML 1.0 has no place for them, not even escaped
      .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, "")
      .replaceAll("&", "&amp;")
      .replaceAll("<", "&lt;")
      .replaceAll(">", "&gt;")
      .replaceAll('"', "&quot;")
      .replaceAll("'", "&#39;")
  );
}
