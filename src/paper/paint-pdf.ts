import type PDFDocument from "pdfkit";
import { type InkedTile, backPlace, patternTile, textureTile } from "@/core/chart/draw/tiles";
import { cropOf, type Scene, type Shape } from "@/core/chart/draw/scene";
import { SIGN_FIELD, SIGN_PATHS, SIGN_PEN } from "@/core/chart/style/sign-paths";
import { partsOf } from "@/core/text/families";
import { advanceOf, type Cut, stretchesOf } from "./type";

export type Doc = InstanceType<typeof PDFDocument>;
/** A picture as PDF takes it, opened once a document. */
export type Picture = object;

export interface PaintOptions {
  /** The picture of an entry; null leaves an empty frame. */
  picture: (item: string) => { image: Picture; proportion: number } | null;
  /** Letters that no font has come in here. */
  missing: Set<string>;
}

/** Writes a text with its beginning, middle or end at x and its foot at y. */
export function writeText(
  doc: Doc,
  text: string,
  x: number,
  y: number,
  cut: Cut,
  size: number,
  fill: string,
  { align = "start", missing, link }: { align?: "start" | "middle" | "end"; missing?: Set<string>; link?: string } = {},
): number {
  const stretches = stretchesOf(text, cut, missing);
  const widths = stretches.map((s) => advanceOf(s, size));
  const whole = widths.reduce((a, b) => a + b, 0);
  let at = align === "start" ? x : align === "middle" ? x - whole / 2 : x - whole;
  const first = at;
  for (const [i, s] of stretches.entries()) {
    setType(doc, s.file.key, s.file.bytes);
    doc.fontSize(size).fillColor(fill);
    doc.text(s.text, at, y, { lineBreak: false, baseline: "alphabetic" });
    at += widths[i]!;
  }
  if (link && stretches.length > 0) doc.link(first, y - size, whole, size * 1.25, link);
  return whole;
}

const known = new WeakMap<Doc, Set<string>>();
/** Sets the type by its name; a document is given each file once. */
function setType(doc: Doc, key: string, bytes: Buffer): void {
  const names = known.get(doc) ?? new Set();
  known.set(doc, names);
  if (!names.has(key)) {
    doc.registerFont(key, bytes);
    names.add(key);
  }
  doc.font(key);
}

/** Paints a scene at the origin of the document as it lies, in its own px. */
export function paintScene(doc: Doc, scene: Scene, options: PaintOptions): void {
  paintGround(doc, scene, options);
  for (const s of scene.shapes) paint(doc, s, options);
}

function paint(doc: Doc, s: Shape, options: PaintOptions): void {
  switch (s.kind) {
    case "area": {
      doc.save();
      if (s.opacity !== undefined) doc.opacity(s.opacity);
      polygon(doc, s.points, true);
      if (s.stroke) {
        doc.lineJoin("round").lineWidth(s.strokeWidth ?? 1);
        if (isClear(s.fill)) doc.strokeColor(colour(s.stroke)).stroke();
        else doc.fillAndStroke(colour(s.fill), colour(s.stroke));
      } else if (!isClear(s.fill)) doc.fill(colour(s.fill));
      if (s.pattern) {
        polygon(doc, s.points, true);
        fillTiled(doc, patternTile(s.pattern), s.opacity ?? 1);
      }
      doc.restore();
      return;
    }
    case "line":
      doc.save();
      polygon(doc, s.points, false);
      doc.lineWidth(s.width).strokeColor(colour(s.stroke));
      if (s.dash) doc.dash(s.dash[0], { space: s.dash[1] });
      doc.stroke();
      doc.restore();
      return;
    case "text": {
      const { family, weight } = partsOf(s.face);
      const cut: Cut = { family, weight };
      const write = () =>
        writeText(doc, s.text, s.x, s.y, cut, s.size, colour(s.fill), { align: s.align, missing: options.missing });
      if (!s.turned) write();
      else {
        doc.save();
        doc.rotate(-90, { origin: [s.x, s.y] });
        write();
        doc.restore();
      }
      return;
    }
    case "sign":
      doc.save();
      doc.translate(s.x, s.y).scale(s.size / SIGN_FIELD);
      doc
        .path(SIGN_PATHS[s.sign])
        .lineWidth(SIGN_PEN)
        .lineCap("round")
        .lineJoin("round")
        .strokeColor(colour(s.stroke))
        .stroke();
      doc.restore();
      return;
    case "picture": {
      const found = options.picture(s.item);
      if (found) placePicture(doc, s, found);
      else noPicture(doc, s);
    }
  }
}

/** A picture cropped to its place by what is to be seen of it. */
export function placePicture(
  doc: Doc,
  s: { x: number; y: number; w: number; h: number; focus?: { x: number; y: number } },
  { image, proportion }: { image: Picture; proportion: number },
): void {
  const { x, y } = cropOf(s, proportion || s.w / s.h);
  const [w, h] = [s.w / x[1], s.h / y[1]];
  doc.save();
  doc.rect(s.x, s.y, s.w, s.h).clip();
  doc.image(image as never, s.x - x[0] * w, s.y - y[0] * h, { width: w, height: h });
  doc.restore();
}

function paintGround(doc: Doc, scene: Scene, options: PaintOptions): void {
  const { paper, texture, picture } = scene.backdrop;
  const corners = [0, 0, scene.width, 0, scene.width, scene.height, 0, scene.height];
  if (!isWhite(paper)) doc.rect(0, 0, scene.width, scene.height).fill(colour(paper));
  if (texture) {
    doc.save();
    polygon(doc, corners, true);
    fillTiled(doc, textureTile(texture), 1);
    doc.restore();
  }
  const found = picture && options.picture(picture.item);
  if (picture && found) {
    doc.save();
    doc.opacity(picture.opacity);
    placePicture(doc, { ...backPlace(scene), ...(picture.focus ? { focus: picture.focus } : {}) }, found);
    doc.restore();
  }
}

/** Fills the path that stands with a tile, repeated from the origin of the document as it lies. */
function fillTiled(doc: Doc, t: InkedTile, opacity: number): void {
  const { tile, scale } = t;
  const at = (v: number) => num(v * scale);
  const stream = [`${at(tile.width)} w`];
  for (const l of tile.lines) {
    const steps: string[] = [];
    for (let i = 0; i < l.length; i += 2) steps.push(`${at(l[i]!)} ${at(l[i + 1]!)} ${i === 0 ? "m" : "l"}`);
    stream.push(`${steps.join(" ")} S`);
  }
  for (const [x, y, r] of tile.dots) stream.push(circle(x * scale, y * scale, r * scale));
  const size = tile.size * scale;
  const pattern = doc.pattern([0, 0, size, size], size, size, stream.join("\n"));
  doc.fillOpacity(opacity * (tile.lines.length > 0 ? t.opacity : t.dots));
  doc.fillColor([pattern, colour(t.ink)] as never).fill();
}

/** A circle as four curves of PDF. */
function circle(x: number, y: number, r: number): string {
  const k = r * 0.5523;
  const p = (...v: number[]) => v.map(num).join(" ");
  return [
    `${p(x + r, y)} m`,
    `${p(x + r, y + k, x + k, y + r, x, y + r)} c`,
    `${p(x - k, y + r, x - r, y + k, x - r, y)} c`,
    `${p(x - r, y - k, x - k, y - r, x, y - r)} c`,
    `${p(x + k, y - r, x + r, y - k, x + r, y)} c f`,
  ].join(" ");
}

function noPicture(doc: Doc, { x, y, w, h }: { x: number; y: number; w: number; h: number }): void {
  const k = Math.min(w, h) / 100;
  const at = (px: number, py: number): [number, number] => [x + w / 2 + px * k, y + h / 2 + py * k];
  doc
    .lineWidth(1)
    .rect(x + 0.5, y + 0.5, w - 1, h - 1)
    .fillAndStroke("#F6F8F7", "#D5DEDC");
  doc.polygon(at(-30, 18), at(-10, -14), at(3, 4), at(13, -8), at(30, 18)).fill("#D5DEDC");
}

function polygon(doc: Doc, points: readonly number[], closed: boolean): void {
  for (let i = 0; i < points.length; i += 2)
    if (i === 0) doc.moveTo(points[0]!, points[1]!);
    else doc.lineTo(points[i]!, points[i + 1]!);
  if (closed) doc.closePath();
}

const num = (v: number) => String(Math.round(v * 1000) / 1000);
const isClear = (c: string) => c === "none" || c === "transparent";
const isWhite = (c: string) => /^#fff(fff)?$/i.test(c);
/** Colours of scenes are #rrggbb; what has a share of its own (#rrggbbaa) is taken without it. */
const colour = (c: string) => (/^#[0-9a-f]{8}$/i.test(c) ? c.slice(0, 7) : c);
