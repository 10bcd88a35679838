import { cutToWidth, type Face, textWidth, wrap } from "../../text/measure";
import { type ChartData, EMPHASIS } from "../data/chart-data";
import { SAYS_DATE, SAYS_TITLE } from "../data/label-says";
import { dateSize, lineOf, TITLE_SIZE, titleSize, wordsSize } from "../style/house-style";
import { dateFace, titleFace, wordsFace } from "../../looks/style";
import { markRoom } from "../style/signs";

/** How labels are set: the type of titles, the widest a line may be, how many lines a title has, how high a picture is (0: none); px. */
export interface Setting {
  type: number;
  most: number;
  lines: number;
  picture: number;
  /** How much larger the type of louder labels is; left out: as usual. */
  loud?: number;
  /** So many lines of the description's first words stand under the title. */
  words?: number;
  /** A picture stands over the words in its own proportion, instead of beside them as a square. */
  over?: true;
  /** Date and title in one line. */
  oneLine: boolean;
}

/** How high the picture of a single label grows where room is left over, px, the highest first. */
export const GROWN = [240, 216, 194, 174, 156, 140, 126, 112, 98, 84] as const;

/** A setting for one label whose picture has grown. */
export const withPicture = (s: Setting, height: number): Setting => ({ ...s, picture: height, over: true });

/** So many lines of first words there may be for one label where room is left over, the most first. */
export const WORDED = [6, 5, 4, 3, 2] as const;

/** A setting for one label with first words of the description. */
export const withWords = (s: Setting, lines: number): Setting => ({ ...s, words: lines });

/** A louder label's type, and a quieter one's, beside the others'. */
const LOUDER = 1.25;
const LESS_LOUD = 1.08;
const QUIETER = 0.85;
const LEAST_TYPE = 12;
const MOST_TYPE = 24;
/** A quieter label's picture is at most so high, px. */
const QUIET_PICTURE = 40;

/** The type of one title, px: of a label, or on a roof. */
export function typeFor(data: Pick<ChartData, "loudness">, i: number, type: number, louder = LOUDER): number {
  const loud = data.loudness[i]!;
  return loud === 0
    ? type
    : loud > 0
      ? Math.min(MOST_TYPE, type * louder)
      : Math.max(Math.min(type, LEAST_TYPE), type * QUIETER);
}

/** A setting as it is for one label. In lines of one title all are alike. */
function settingOf(data: ChartData, i: number, s: Setting): Setting {
  const loud = data.loudness[i]!;
  if (loud === 0 || s.lines === 1) return s;
  const type = typeFor(data, i, s.type, s.loud);
  const most = (s.most * Math.max(1, type / s.type)) | 0;
  if (loud > 0) return { ...s, type, most };
  const { over: _, ...beside } = s;
  return { ...beside, type, picture: Math.min(s.picture, QUIET_PICTURE) };
}

/** From the roomiest to the tightest. */
export const SETTINGS: readonly Setting[] = [
  { type: 20, most: 250, lines: 4, picture: 240, over: true, oneLine: false },
  { type: 19, most: 236, lines: 4, picture: 208, over: true, oneLine: false },
  { type: 18, most: 220, lines: 4, picture: 182, over: true, oneLine: false },
  { type: 17, most: 206, lines: 4, picture: 160, over: true, oneLine: false },
  { type: 16, most: 190, lines: 4, picture: 142, over: true, oneLine: false },
  { type: 15, most: 176, lines: 4, picture: 126, over: true, oneLine: false },
  { type: 16, most: 188, lines: 4, picture: 104, oneLine: false },
  { type: 15, most: 174, lines: 4, picture: 84, oneLine: false },
  { type: 14.25, most: 164, lines: 4, picture: 62, oneLine: false },
  { type: TITLE_SIZE, most: 158, lines: 3, picture: 40, oneLine: false },
  { type: TITLE_SIZE, most: 150, lines: 2, picture: 36, oneLine: false },
  { type: TITLE_SIZE, most: 140, lines: 4, picture: 0, oneLine: false },
  { type: 12.5, most: 150, lines: 3, picture: 30, oneLine: false },
  { type: 12, most: 132, lines: 4, picture: 0, oneLine: false },
  { type: 12, most: 160, lines: 3, picture: 0, oneLine: false },
  { type: TITLE_SIZE, most: 140, lines: 2, picture: 0, oneLine: false },
  { type: TITLE_SIZE, most: 118, lines: 2, picture: 0, oneLine: false },
  { type: TITLE_SIZE, most: 190, lines: 1, picture: 0, oneLine: false },
  ...[260, 220, 190, 165, 145, 130, 115, 100].map((most) => ({
    type: TITLE_SIZE,
    most,
    lines: 1,
    picture: 0,
    oneLine: true,
  })),
];
/** The highest pictures are where they are wanted small, px. */
const SMALL_PICTURES = 62;

const known = new Map<string, readonly Setting[]>();
/** The settings there are to choose from: what the author holds is held in all of them. */
export function settingsFor({ held, loudness }: Pick<ChartData, "held" | "loudness">): readonly Setting[] {
  const { pictures, type } = held;
  const loud = loudness.includes(1);
  if (pictures !== "small" && type === null && !loud) return SETTINGS;
  const key = `${pictures} ${type} ${loud}`;
  let found = known.get(key);
  if (!found) {
    const kept = pictures === "small" ? SETTINGS.filter((s) => s.picture <= SMALL_PICTURES) : SETTINGS;
    const made = type === null ? kept : kept.map((s) => ({ ...s, type, most: Math.round((s.most * type) / s.type) }));
    const seen = new Set<string>();
    // Where a louder label has no room for that, it is a little louder, before all others are cut for it.
    const voiced = loud ? made.flatMap((s) => (s.lines > 1 ? [s, { ...s, loud: LESS_LOUD }] : [s])) : made;
    found = voiced.filter((s) => {
      const text = JSON.stringify(s);
      return !seen.has(text) && seen.add(text);
    });
    known.set(key, found);
  }
  return found;
}

/** The first that may be chosen for a row of several, and for a close-up. */
export function roomiestOfSeveral(settings: readonly Setting[]): number {
  return Math.max(
    0,
    settings.findIndex((s) => s.type === TITLE_SIZE && !s.over),
  );
}
/** For timelines too large to be searched for the best: where there is height, and where there is not. */
export const DENSE: Setting = { type: TITLE_SIZE, most: 150, lines: 1, picture: 0, oneLine: false };
export const DENSE_LOW: Setting = { type: TITLE_SIZE, most: 180, lines: 1, picture: 0, oneLine: true };

/** What a label says, and how much room that takes. */
export interface LabelText {
  /** The type of its title, px, before it is emphasised. */
  type: number;
  date: string;
  lines: string[];
  /** The first words of the description. */
  words: string[];
  picture: string | null;
  /** Of the picture; 0 where there is none. */
  pictureW: number;
  pictureH: number;
  /** It stands over the words. */
  over: boolean;
  w: number;
  h: number;
}

/** In a line of both, a date longer than this share of it is written shorter. */
const SHARE_OF_DATE = 0.42;
const PICTURE_GAP = 8;
/** Between a picture and the words under it, px. */
const UNDER_GAP = 5;
/** Between a title and the words under it, px. */
export const WORDS_GAP = 3;
/** The narrowest and the widest a picture over its words is drawn, by its height; the rest is cut off. */
const NARROWEST = 0.62;
const WIDEST = 1.6;
/** How far it may be wider than the words' widest line, px. */
const WIDER = 40;
const DATE_GAP = 6;
/** A date may be so many times as wide as its title's type is high. */
const DATE_BY_TYPE = 13;

/** What a label has for a title; "" where it says none. What carries a letter or sign has one. */
function labelTitle(data: ChartData, i: number): string {
  const said = data.says[i]!;
  return said & SAYS_TITLE || (!(said & SAYS_DATE) && markRoom(data, i) > 0) ? data.titles[i]! : "";
}

/** The date a label says, and the same where there is little room. */
function labelDate(data: ChartData, i: number): { full: string; short: string } {
  return data.says[i]! & SAYS_DATE ? { full: data.dates[i]!, short: data.shortDates[i]! } : { full: "", short: "" };
}

export function labelText(data: ChartData, i: number, usual: Setting, frameWidth: number): LabelText {
  const s = settingOf(data, i, usual);
  const size = titleSize((data.flags[i]! & EMPHASIS) !== 0, s.type);
  const [dated, line] = [dateSize(s.type), lineOf(s.type)];
  const sign = markRoom(data, i);
  const most = Math.max(40, Math.min(s.most, frameWidth * 0.42));
  const [DATE, TITLE, WORDS] = [dateFace(data.style), titleFace(data.style), wordsFace(data.style)];
  const title = labelTitle(data, i);
  const told = labelDate(data, i);
  if (s.oneLine) {
    // A date is never cut before its year: where it is too long, a shorter one that says less stands for it.
    const { full } = told;
    const short = textWidth(full, DATE, dated) <= most * SHARE_OF_DATE ? full : told.short;
    const date = cutToWidth(short, DATE, dated, most * 0.6);
    const before = sign + (date ? textWidth(date, DATE, dated) + DATE_GAP : 0);
    const words = title === "" ? "" : cutToWidth(title.replaceAll("\n", " "), TITLE, size, Math.max(24, most - before));
    return {
      type: s.type,
      date,
      lines: [words],
      words: [],
      picture: null,
      pictureW: 0,
      pictureH: 0,
      over: false,
      w: Math.ceil(before + textWidth(words, TITLE, size)),
      h: line + 2,
    };
  }
  const picture = s.picture > 0 ? data.pictures[i]! : null;
  let date = told.full;
  // Letter and signs stand before it, within the same room.
  const mostDate = Math.min(Math.max(most, 200, s.type * DATE_BY_TYPE), frameWidth * 0.42 - sign);
  let dateWidth = date ? textWidth(date, DATE, dated) : 0;
  if (dateWidth > mostDate) {
    // What would be cut is told shorter, where it can be.
    date = cutToWidth(told.short, DATE, dated, mostDate);
    dateWidth = textWidth(date, DATE, dated);
  }
  const lines = title === "" ? [] : setTitle(title, TITLE, size, most, s.lines);
  let textW = dateWidth + (date ? sign : 0);
  for (const [k, l] of lines.entries())
    textW = Math.max(textW, textWidth(l, TITLE, size) + (!date && k === 0 ? sign : 0));
  const shape = Math.min(WIDEST, Math.max(NARROWEST, data.proportions[i]! || 1.4));
  const pictureW = !picture ? 0 : s.over ? Math.round(Math.min(most + WIDER, s.picture * shape)) : s.picture;
  const pictureH = picture ? s.picture : 0;
  const under = s.words ?? 0;
  const words =
    under > 0 && data.words[i]
      ? excerpt(data.words[i]!, WORDS, wordsSize(s.type), s.over ? Math.max(most, pictureW) : most, under)
      : [];
  for (const l of words) textW = Math.max(textW, textWidth(l, WORDS, wordsSize(s.type)));
  const textH =
    (date ? line : 0) +
    lines.length * line +
    (words.length > 0 ? WORDS_GAP + words.length * lineOf(wordsSize(s.type)) : 0);
  const set = { type: s.type, date, lines, words, picture, pictureW, pictureH, over: s.over ?? false };
  if (s.over)
    return {
      ...set,
      w: Math.ceil(Math.max(textW, pictureW)),
      h: textH + (picture ? s.picture + UNDER_GAP : 0) + 2,
    };
  return {
    ...set,
    w: Math.ceil(textW + (picture ? s.picture + PICTURE_GAP : 0)),
    h: Math.max(textH, picture ? s.picture : 0) + 2,
  };
}

/** The first lines of a text; what is left out is whole words. */
function excerpt(text: string, face: Face, size: number, most: number, mostLines: number): string[] {
  const lines = wrap(text, face, size, most, mostLines);
  const last = lines.at(-1);
  if (!last?.endsWith("…") || text.endsWith(last)) return lines;
  const space = last.lastIndexOf(" ");
  // Whether the cut went through a word says what follows it in the text.
  const kept = last.slice(0, -1);
  const at = text.indexOf(kept);
  const isWhole = at >= 0 && /^[\s,.;:!?]|^$/.test(text.slice(at + kept.length));
  if (isWhole || space <= 0) return lines;
  return [...lines.slice(0, -1), `${last.slice(0, space).replace(/[\s,;:.–-]+$/, "")}…`];
}

/** A title in lines, broken where its author broke it, where there is more than one. */
function setTitle(title: string, face: Face, size: number, most: number, lines: number): string[] {
  const typed = lines === 1 ? [title] : title.split("\n");
  return typed.flatMap((t) => wrap(t, face, size, most, Math.max(1, lines + 1 - typed.length)));
}

/** What a picture takes beside the words, px. */
export function pictureRoom(s: Setting): number {
  return s.picture > 0 ? s.picture + PICTURE_GAP : 0;
}

/**
 * The room a label of one title line takes, without setting its words: what is cut counts as if it filled its line. For
 * charts of many events.
 */
export function labelWidth(data: ChartData, i: number, s: Setting, frameWidth: number): number {
  const most = Math.max(40, Math.min(s.most, frameWidth * 0.42));
  const sign = markRoom(data, i);
  const size = titleSize((data.flags[i]! & EMPHASIS) !== 0, s.type);
  // Here a title has one line, whatever its author broke.
  const [DATE, TITLE] = [dateFace(data.style), titleFace(data.style)];
  const title = textWidth(labelTitle(data, i).replaceAll("\n", " "), TITLE, size);
  const { full, short: told } = labelDate(data, i);
  const dateWidth = full ? textWidth(full, DATE, dateSize(s.type)) : 0;
  if (!s.oneLine) {
    const mostDate = Math.min(Math.max(most, 200, s.type * DATE_BY_TYPE), frameWidth * 0.42 - sign);
    const whole = dateWidth <= mostDate ? dateWidth : textWidth(told, DATE, dateSize(s.type));
    const date = Math.min(whole, mostDate);
    return Math.ceil(Math.max(date + (full ? sign : 0), Math.min(title, most) + (full ? 0 : sign)));
  }
  const short = dateWidth <= most * SHARE_OF_DATE ? dateWidth : textWidth(told, DATE, dateSize(s.type));
  const before = sign + (short > 0 ? Math.min(short, most * 0.6) + DATE_GAP : 0);
  return Math.ceil(before + Math.min(title, Math.max(24, most - before)));
}

export { DATE_GAP, PICTURE_GAP, UNDER_GAP };
