// The type that drawings on paper are set in: static files of the families that ship with Fastigo, for a library that knows no variable
// weights. A family has two files a weight, for two sets of letters; a text is taken apart into stretches of one file each.
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { create, type Font } from "fontkit";
import { type Heading, shippedType } from "@/core/text/families";
import { unpackWoff } from "./woff";

export interface Cut {
  family: Heading;
  weight: 400 | 600 | 700;
  italic?: boolean;
}

/** One file of type, read. */
export interface TypeFile {
  /** Its name among all. */
  key: string;
  bytes: Buffer;
  font: Font;
}

const SETS = ["latin", "latin-ext"] as const;
const files = new Map<string, TypeFile | null>();

function fileOf({ family, weight, italic }: Cut, set: (typeof SETS)[number]): TypeFile | null {
  const { file } = shippedType(family);
  const key = `${file}-${set}-${weight}-${italic ? "italic" : "normal"}`;
  const known = files.get(key);
  if (known !== undefined) return known;
  const root = process.env.FASTIGO_ROOT ?? process.cwd();
  const path = join(root, "node_modules", "@fontsource", file, "files", `${key}.woff`);
  let read: TypeFile | null = null;
  // Not every family has italics.
  if (existsSync(path)) {
    const bytes = unpackWoff(readFileSync(path));
    read = { key, bytes, font: create(bytes) as Font };
  }
  files.set(key, read);
  return read;
}

/** The files of a cut, those of the upright letters where there are no italics. */
function filesOf(cut: Cut): TypeFile[] {
  const own = SETS.map((s) => fileOf(cut, s)).filter((f) => f !== null);
  return own.length > 0 || !cut.italic ? own : filesOf({ ...cut, italic: false });
}

export interface Stretch {
  file: TypeFile;
  text: string;
}

/** What the house's type is asked for where a look's own has no such letter. */
const HOUSE: Heading = "hyperlegible";
/** Stands for a letter that no shipped font has. */
const MISSING = "\u25A1";

/**
 * A text in stretches that each have all their letters in one file. Letters that no shipped font has are put into `missing` and
 * stand as an empty box, or fall away where nothing is to be seen of them anyway.
 */
export function stretchesOf(text: string, cut: Cut, missing?: Set<string>): Stretch[] {
  const own = filesOf(cut);
  const all = cut.family === HOUSE ? own : [...own, ...filesOf({ ...cut, family: HOUSE })];
  const found: Stretch[] = [];
  const put = (file: TypeFile, letter: string) => {
    const last = found.at(-1);
    if (last?.file === file) last.text += letter;
    else found.push({ file, text: letter });
  };
  for (const letter of text.normalize("NFC")) {
    const code = letter.codePointAt(0)!;
    // A space goes with what stands before it.
    const last = found.at(-1)?.file;
    const file = letter === " " && last ? last : all.find((f) => f.font.hasGlyphForCodePoint(code));
    if (file) put(file, letter);
    else if (/\p{Cc}|\p{Cf}|\p{Mn}/u.test(letter)) continue;
    else {
      missing?.add(letter);
      const box = all.find((f) => f.font.hasGlyphForCodePoint(MISSING.codePointAt(0)!));
      put(box ?? all[0]!, box ? MISSING : "?");
    }
  }
  return found;
}

/** How wide a text is set, in the units of its size. */
export function widthOf(text: string, cut: Cut, size: number): number {
  return stretchesOf(text, cut).reduce((w, s) => w + advanceOf(s, size), 0);
}

const widths = new Map<string, number>();
const MOST_KEPT = 20_000;

export function advanceOf({ file, text }: Stretch, size: number): number {
  const key = `${file.key} ${text}`;
  let units = widths.get(key);
  if (units === undefined) {
    units = file.font.layout(text).advanceWidth / file.font.unitsPerEm;
    if (widths.size > MOST_KEPT) widths.clear();
    widths.set(key, units);
  }
  return units * size;
}

/** What is said of letters that no font has; "" where all are there. */
export function scriptsOf(missing: ReadonlySet<string>): string {
  const NAMES: [RegExp, string][] = [
    [/\p{Script=Han}|\p{Script=Hiragana}|\p{Script=Katakana}|\p{Script=Hangul}/u, "Chinese, Japanese or Korean"],
    [/\p{Script=Cyrillic}/u, "Cyrillic"],
    [/\p{Script=Greek}/u, "Greek"],
    [/\p{Script=Hebrew}/u, "Hebrew"],
    [/\p{Script=Arabic}/u, "Arabic"],
    [/\p{Script=Devanagari}/u, "Devanagari"],
    [/\p{Extended_Pictographic}/u, "emoji"],
  ];
  const names = new Set([...missing].map((m) => NAMES.find(([r]) => r.test(m))?.[1] ?? `“${m}”`));
  return [...names].slice(0, 6).join(", ");
}
