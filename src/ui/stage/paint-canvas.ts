import { SIGN_FIELD, SIGN_PATHS, SIGN_PEN } from "@/core/chart/style/sign-paths";
import { backPlace, type InkedTile, patternTile, textureTile } from "@/core/chart/draw/tiles";
import { type PictureSize, type Scene, type Shape, cropOf, sizeFor } from "@/core/chart/draw/scene";
import { fontOf } from "@/core/chart/draw/to-svg";
import type { Sign } from "@/core/timeline/looks";

export type PictureOf = (item: string, size: PictureSize) => CanvasImageSource | null;

const patterns = new Map<string, CanvasPattern | null>();

/**
 * Paints a scene on a canvas of the scene's size; `ratio` is the device's pixels per CSS pixel. Shapes that have just been
 * added are painted as far as they have `faded` in, 0 to 1.
 */
export function paintCanvas(
  canvas: HTMLCanvasElement,
  scene: Scene,
  ratio: number,
  pictureOf: PictureOf,
  faded = 1,
): void {
  const width = Math.round(scene.width * ratio);
  const height = Math.round(scene.height * ratio);
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;

  const ctx = canvas.getContext("2d");
  if (!ctx) return;
  fonts.delete(ctx);
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  paintGround(ctx, scene, pictureOf);
  ctx.textBaseline = "alphabetic";
  ctx.lineJoin = "round";
  const { shapes } = scene;
  for (let i = 0; i < shapes.length; i++) {
    const s = shapes[i]!;
    if (s.added && faded < 1) {
      ctx.save();
      ctx.globalAlpha = faded;
      paint(ctx, s, pictureOf, faded);
      ctx.restore();
    } else if (isPlain(s)) {
      // Plain areas of one colour that follow each other are one path.
      ctx.beginPath();
      for (; i < shapes.length; i++) {
        const next = shapes[i]!;
        if (!isPlain(next) || next.fill !== s.fill || (next.added && faded < 1)) break;
        outline(ctx, next.points);
      }
      i--;
      ctx.fillStyle = s.fill;
      ctx.fill();
    } else paint(ctx, s, pictureOf, 1);
  }
}

type Area = Extract<Shape, { kind: "area" }>;

function isPlain(s: Shape): s is Area {
  return s.kind === "area" && !s.pattern && !s.stroke && s.opacity === undefined;
}

/** One more outline of a path that is filled, which closes it. */
function outline(ctx: CanvasRenderingContext2D, points: readonly number[]): void {
  ctx.moveTo(points[0]!, points[1]!);
  for (let i = 2; i < points.length; i += 2) ctx.lineTo(points[i]!, points[i + 1]!);
}

function paint(ctx: CanvasRenderingContext2D, s: Shape, pictureOf: PictureOf, alpha: number): void {
  switch (s.kind) {
    case "area":
      trace(ctx, s.points);
      ctx.closePath();
      ctx.globalAlpha = (s.opacity ?? 1) * alpha;
      ctx.fillStyle = s.fill;
      ctx.fill();
      if (s.pattern) {
        const pattern = tileOf(ctx, patternTile(s.pattern));
        if (pattern) {
          ctx.fillStyle = pattern;
          ctx.fill();
        }
      }
      if (s.stroke) {
        ctx.strokeStyle = s.stroke;
        ctx.lineWidth = s.strokeWidth ?? 1;
        ctx.stroke();
      }
      ctx.globalAlpha = alpha;
      return;
    case "line":
      trace(ctx, s.points);
      ctx.strokeStyle = s.stroke;
      ctx.lineWidth = s.width;
      if (s.dash) ctx.setLineDash(s.dash);
      ctx.stroke();
      if (s.dash) ctx.setLineDash([]);
      return;
    case "text":
      setFont(ctx, fontOf(s.face, s.size));
      ctx.fillStyle = s.fill;
      ctx.textAlign = s.align === "middle" ? "center" : s.align;
      if (s.turned) {
        ctx.save();
        ctx.translate(s.x, s.y);
        ctx.rotate(-Math.PI / 2);
        ctx.fillText(s.text, 0, 0);
        ctx.restore();
        fonts.delete(ctx);
      } else ctx.fillText(s.text, s.x, s.y);
      return;
    case "sign":
      ctx.save();
      ctx.translate(s.x, s.y);
      ctx.scale(s.size / SIGN_FIELD, s.size / SIGN_FIELD);
      ctx.strokeStyle = s.stroke;
      ctx.lineWidth = SIGN_PEN;
      ctx.lineCap = "round";
      ctx.stroke(signPath(s.sign));
      ctx.restore();
      return;
    case "picture": {
      const picture = pictureOf(s.item, sizeFor(s));
      if (picture) drawCovering(ctx, picture, s);
      else {
        ctx.fillStyle = "#D5DEDC";
        ctx.fillRect(s.x, s.y, s.w, s.h);
      }
    }
  }
}

const fonts = new WeakMap<CanvasRenderingContext2D, string>();
/** Setting a font costs even where it is the same. */
function setFont(ctx: CanvasRenderingContext2D, font: string): void {
  if (fonts.get(ctx) === font) return;
  fonts.set(ctx, font);
  ctx.font = font;
}

function trace(ctx: CanvasRenderingContext2D, points: readonly number[]): void {
  ctx.beginPath();
  for (let i = 0; i < points.length; i += 2) ctx.lineTo(points[i]!, points[i + 1]!);
}

function drawCovering(
  ctx: CanvasRenderingContext2D,
  picture: CanvasImageSource,
  s: Extract<Shape, { kind: "picture" }>,
): void {
  const { naturalWidth: pw, naturalHeight: ph } = picture as HTMLImageElement;
  if (!pw || !ph) return;
  const { x, y } = cropOf(s, pw / ph);
  ctx.drawImage(picture, x[0] * pw, y[0] * ph, x[1] * pw, y[1] * ph, s.x, s.y, s.w, s.h);
}

/** Paper, texture and picture behind a drawing. */
function paintGround(ctx: CanvasRenderingContext2D, scene: Scene, pictureOf: PictureOf): void {
  const { paper, texture, picture } = scene.backdrop;
  const fill = (paint: string | CanvasPattern) => {
    ctx.fillStyle = paint;
    ctx.fillRect(0, 0, scene.width, scene.height);
  };
  fill(paper);
  const tile = texture && tileOf(ctx, textureTile(texture));
  if (tile) fill(tile);
  const shown = picture && pictureOf(picture.item, "medium");
  if (!picture || !shown) return;
  const { item, proportion, focus, opacity } = picture;
  ctx.globalAlpha = opacity;
  drawCovering(ctx, shown, {
    kind: "picture",
    ...backPlace(scene),
    item,
    proportion,
    ...(focus ? { focus } : {}),
  });
  ctx.globalAlpha = 1;
}

const signs = new Map<Sign, Path2D>();
function signPath(sign: Exclude<Sign, "">): Path2D {
  let path = signs.get(sign);
  if (!path) signs.set(sign, (path = new Path2D(SIGN_PATHS[sign])));
  return path;
}

function tileOf(
  ctx: CanvasRenderingContext2D,
  { key, tile, ink, opacity, dots, scale }: InkedTile,
): CanvasPattern | null {
  const known = patterns.get(key);
  if (known !== undefined) return known;
  const SCALE = 2;
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = tile.size * SCALE;
  const t = canvas.getContext("2d")!;
  t.scale(SCALE, SCALE);
  t.strokeStyle = ink;
  t.fillStyle = ink;
  t.lineWidth = tile.width;
  t.globalAlpha = opacity;
  for (const l of tile.lines) {
    trace(t, l);
    t.stroke();
  }
  t.globalAlpha = dots;
  for (const [x, y, r] of tile.dots) {
    t.beginPath();
    t.arc(x, y, r, 0, Math.PI * 2);
    t.fill();
  }
  const pattern = ctx.createPattern(canvas, "repeat");
  pattern?.setTransform(new DOMMatrix().scale(scale / SCALE));
  if (patterns.size > 200) patterns.clear();
  patterns.set(key, pattern);
  return pattern;
}
