/** A subtitle: what is said from one second to another. */
export interface Cue {
  from: number;
  to: number;
  text: string;
}

/** Subtitles have at most so many lines of words and signs, taken together. */
export const MOST_CUES = 2_000;

const TIME = String.raw`(?:(\d{1,3}):)?([0-5]?\d):([0-5]\d)[.,](\d{1,3})`;
const LINE = new RegExp(`^\\s*${TIME}\\s*-->\\s*${TIME}(?:\\s.*)?$`);

const seconds = ([h, m, s, f]: (string | undefined)[]): number =>
  (Number(h ?? 0) * 3_600_000 + Number(m) * 60_000 + Number(s) * 1_000 + Number((f ?? "0").padEnd(3, "0"))) / 1_000;

/** The words of a cue: tags and voices go, entities become what they stand for; nothing in it can be markup. */
const wordsOf = (raw: string): string =>
  raw
    .replaceAll(/<[^>]*>/g, "")
    .replaceAll("&lt;", "<")
    .replaceAll("&gt;", ">")
    .replaceAll("&nbsp;", " ")
    .replaceAll(/&(?:lrm|rlm);/g, "")
    .replaceAll("&amp;", "&")
    .split("\n")
    .map((l) => l.trim())
    .filter(Boolean)
    .join("\n");

/**
 * Reads subtitles as WebVTT (W3C, webvtt1) or SubRip: the words of each cue with its times, in the order of time. Settings, styles,
 * regions, notes, tags and scripts are left out. `lost`: how many cues had no times one can read, ended before they began, or were
 * too many.
 */
export function readSubtitles(text: string): { cues: Cue[]; lost: number } {
  const blocks = text
    .replace(/^\uFEFF/, "")
    .replaceAll(/\r\n?/g, "\n")
    .split(/\n[ \t]*\n+/);
  const cues: Cue[] = [];
  let lost = 0;
  for (const block of blocks) {
    const lines = block.split("\n");
    const at = lines.findIndex((l) => l.includes("-->"));
    if (at < 0) continue;
    const found = LINE.exec(lines[at]!);
    const words = wordsOf(lines.slice(at + 1).join("\n"));
    const [from, to] = found ? [seconds(found.slice(1, 5)), seconds(found.slice(5, 9))] : [0, 0];
    if (!found || to <= from || cues.length >= MOST_CUES) lost++;
    else if (words) cues.push({ from, to, text: words });
  }
  return { cues: cues.toSorted((a, b) => a.from - b.from), lost };
}

/** A second as WebVTT writes it: 01:02:03.400. */
export function vttTime(at: number): string {
  const ms = Math.round(Math.max(0, at) * 1_000);
  const part = (n: number, size = 2) => String(n).padStart(size, "0");
  return `${part(Math.floor(ms / 3_600_000))}:${part(Math.floor(ms / 60_000) % 60)}:${part(Math.floor(ms / 1_000) % 60)}.${part(ms % 1_000, 3)}`;
}

/** Subtitles as WebVTT. What `readSubtitles` gives comes out of it again. */
export function writeSubtitles(cues: readonly Cue[]): string {
  const safe = (text: string) => text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;");
  return ["WEBVTT", ...cues.map((c) => `${vttTime(c.from)} --> ${vttTime(c.to)}\n${safe(c.text)}`)]
    .join("\n\n")
    .concat("\n");
}

/** Where in a recording something is: "1:05", "12", "0:12.5"; null where that cannot be read. */
export function readSecond(text: string): number | null {
  const found = /^\s*(?:(?:(\d{1,3}):)?(\d{1,3}):)?(\d{1,6}(?:[.,]\d{1,3})?)\s*s?\s*$/.exec(text);
  if (!found) return null;
  return Number(found[1] ?? 0) * 3_600 + Number(found[2] ?? 0) * 60 + Number(found[3]!.replace(",", "."));
}

/** A second as people say it: 1:05, 0:12.5, 1:02:03. */
export function secondText(at: number): string {
  const whole = Math.floor(at + 0.0005);
  const rest = Math.round((at - whole) * 1_000);
  const [h, m, s] = [Math.floor(whole / 3_600), Math.floor(whole / 60) % 60, whole % 60];
  const clock =
    h > 0 ? `${h}:${String(m).padStart(2, "0")}:${String(s).padStart(2, "0")}` : `${m}:${String(s).padStart(2, "0")}`;
  return rest > 0 ? `${clock}.${String(rest).padStart(3, "0").replace(/0+$/, "")}` : clock;
}
