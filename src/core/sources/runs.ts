/** A stretch of a written source: its letters, and whether they are set in italics. */
export interface Run {
  text: string;
  italic?: true;
}

const ENTITIES: Record<string, string> = { amp: "&", lt: "<", gt: ">", quot: '"', apos: "'", nbsp: " " };

/**
 * The letters of what the processor of citations wrote as HTML: italics stay, every other element falls away, so that nothing in it
 * can be more than letters. The number it puts before an entry is left out.
 */
export function runsOf(html: string): Run[] {
  const runs: Run[] = [];
  let italic = 0;
  let skip = 0;
  const put = (text: string) => {
    if (!text || skip > 0) return;
    const last = runs.at(-1);
    if (last && Boolean(last.italic) === italic > 0) last.text += text;
    else runs.push(italic > 0 ? { text, italic: true } : { text });
  };
  for (const [, closing, name, attributes, text] of html.matchAll(/<(\/?)([a-z]+)([^>]*)>|([^<]+)/gi)) {
    if (text !== undefined) {
      put(decoded(text.replaceAll(/\s+/g, " ")));
      continue;
    }
    if (name === "i" || name === "em") italic += closing ? -1 : 1;
    if (name === "div") {
      if (skip > 0) skip += closing ? -1 : 1;
      else if (attributes!.includes("csl-left-margin")) skip = 1;
    }
  }
  return trimmed(runs);
}

function decoded(text: string): string {
  return text.replaceAll(/&(?:#(\d+)|#x([\da-f]+)|([a-z]+));/gi, (all, decimal, hex, name) => {
    if (name) return ENTITIES[name.toLowerCase()] ?? all;
    const code = decimal ? Number(decimal) : Number.parseInt(hex, 16);
    return code > 0 && code < 0x110000 ? String.fromCodePoint(code) : "";
  });
}

function trimmed(runs: Run[]): Run[] {
  const [first, last] = [runs[0], runs.at(-1)];
  if (first) first.text = first.text.trimStart();
  if (last) last.text = last.text.trimEnd();
  return runs.filter((r) => r.text !== "");
}
