import { readFileSync } from "node:fs";
import { join } from "node:path";
import { unzipSync, zipSync } from "fflate";
import { READ_ENDINGS } from "@/core/bring-in/files/endings";
import { readFile } from "@/core/bring-in/files/read-file";
import { NotReadable } from "@/core/bring-in/files/unpack";
import { lookAtRows } from "@/core/bring-in/look-at-rows";
import { bringInTimeline, timelineOfFile } from "@/core/bring-in/whole-timeline";
import { apply } from "@/core/change/apply";
import { toFrozen } from "@/core/formats/frozen";
import { emptyTimeline } from "@/core/timeline/timeline";
import { chance } from "@/core/testing/seeded-timeline";

/** Kinds of files that can be brought in, each with one that is good. */
export const READERS = ["csv", "txt", "md", "html", "json", "ics", "ged", "ods", "xlsx", "zip"] as const;
export type Reader = (typeof READERS)[number];

const GOOD: Record<Exclude<Reader, "ods" | "xlsx" | "zip" | "json">, string> = {
  csv: 'When,Title,"Cate ""gory"""\n1846,"Bell\nrecast",Town\n03/04/1872,Flood,\n',
  txt: "- 1846 - Bell #town @ford\n2. 1872: Flood\n    It was long.\n\n    Very.\n",
  md: "# T\n\n| When | Title |\n| --- | :-: |\n| 1846 | Bell \\| two |\n\n## 1846: Bell\n\ntext\n\nSource: Book\n",
  html: '<table><tr><th rowspan="2">When</th><th colspan=3>Title</th></tr><tr><td><a href="https://a.example">Bell</a><script>x</script></td></tr></table><ul><li>1846 Bell</ul>',
  ics: "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:a\r\nDTSTART;TZID=Europe/Berlin:20240501T100000\r\nDURATION:PT3H\r\nRRULE:FREQ=MONTHLY;BYDAY=2TU;COUNT=9\r\nEXDATE:20240514T100000\r\nSUMMARY:Market\\, long\r\n fold\r\nGEO:1;2\r\nCATEGORIES:a,b\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
  ged: "0 HEAD\n1 CHAR UTF-8\n0 @I1@ INDI\n1 NAME Ada /Bell/\n1 BIRT\n2 DATE BET @#DJULIAN@ 3 MAR 1701/02 AND ABT 1850\n2 PLAC x\n1 RESI\n2 DATE HEBREW 15 NSN 5608\n2 NOTE a\n3 CONT b\n2 SOUR @S1@\n0 @F1@ FAM\n1 HUSB @I1@\n1 WIFE @I1@\n1 MARR\n2 DATE FRENCH_R 1 VEND 1\n0 @S1@ SOUR\n1 TITL B\n0 TRLR\n",
};
/** What is put in: signs each form takes for something, numbers at the edges, and nonsense. */
const PIECES = [
  ..."\"',;|\t\n\r\\<>&/=-+@#*:.()[]{}0123456789 \u0000\ufeff\ud83c".split(""),
  "999999999999",
  "-1",
  "1e309",
  "<table>",
  "</td>",
  "<![CDATA[",
  "<!DOCTYPE a>",
  "&#x0;",
  "BEGIN:VEVENT\r\n",
  "RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30\r\n",
  "DTSTART:00000000T999999\r\n",
  "INTERVAL=0",
  "0 @I1@ INDI\n",
  "9 ",
  "@#DHEBREW@ 30 ELL 9999",
  "null",
  "[",
  "{",
  '"kind":"moment"',
  "## ",
  "| --- |",
  ' r="XFD1048576"',
  ' table:number-rows-repeated="1048576"',
  ' s="99"',
  "<v>-1e9</v>",
  "\u202e\u05e9",
];

/** Reads files that were spoilt by chance; gives what went wrong: a fault that is no sentence. The same for the same seed. */
export async function fuzzReader(reader: Reader, count: number, seed: number): Promise<string[]> {
  const random = chance(seed);
  const pick = (n: number) => Math.floor(random() * n);
  const wrong: string[] = [];
  let made = 0;
  const good = { ...GOOD, json: readFileSync(join(process.cwd(), "fixtures", "frozen", "format-1.json"), "utf8") };
  const parts =
    reader === "zip"
      ? new Map([["data.json", good.json]])
      : reader === "ods" || reader === "xlsx"
        ? unpacked(reader)
        : null;
  for (let i = 0; i < count; i++) {
    let bytes: Uint8Array;
    if (parts) {
      const names = [...parts.keys()].filter((n) => /content|sheet|workbook|styles|shared|Types|rels|data/.test(n));
      const spoilt = names[pick(names.length)]!;
      const all = Object.fromEntries(
        [...parts].map(([n, text]) => [n, new TextEncoder().encode(n === spoilt ? spoil(text, pick) : text)]),
      );
      bytes = zipSync(all, { level: 0 });
      // Now and then the packing itself is broken.
      if (pick(8) === 0) bytes = bytes.map((b, at) => (at % 997 === pick(997) ? pick(256) : b));
    } else bytes = new TextEncoder().encode(spoil(good[reader as keyof typeof good], pick));
    try {
      const found = await readFile(`x.${reader}`, bytes, { today: 740_000 });
      const whole = found.kind === "timeline" ? found.frozen : found.whole;
      if (whole) {
        const t = timelineOfFile(whole, 1);
        const { ops } = bringInTimeline(emptyTimeline("t"), t, { newId: () => `n${++made}`, mediaFor: () => null });
        toFrozen(apply(emptyTimeline("t"), ops).timeline, true);
      }
      if (found.kind === "rows")
        for (const s of found.sheets) {
          lookAtRows(s.cells, { order: "dmy" }, []);
          if (s.cells.some((r) => r.some((c) => typeof c !== "string")))
            wrong.push(`${reader} ${seed}/${i}: a cell is no text`);
        }
    } catch (e) {
      if (!(e instanceof NotReadable))
        wrong.push(`${reader} ${seed}/${i}: ${(e as Error).stack?.split("\n").slice(0, 4).join(" ")}`);
    }
  }
  return wrong;
}

function spoil(text: string, pick: (n: number) => number): string {
  let out = text;
  for (let n = 1 + pick(4); n > 0; n--) {
    const at = pick(out.length + 1);
    const piece = PIECES[pick(PIECES.length)]!;
    switch (pick(5)) {
      case 0:
        out = out.slice(0, at) + out.slice(at + 1 + pick(12));
        break;
      case 1:
        out = out.slice(0, at);
        break;
      case 2:
        out = out.slice(0, at) + out.slice(pick(out.length + 1)).slice(0, 300) + out.slice(at);
        break;
      case 3:
        out = out.slice(0, at) + piece.repeat(1 + pick(40)) + out.slice(at);
        break;
      default:
        out = out.slice(0, at) + piece + out.slice(at + piece.length);
    }
  }
  return out;
}

function unpacked(reader: "ods" | "xlsx"): Map<string, string> {
  const file = readFileSync(join(process.cwd(), "fixtures", "bring-in", `crossings.${reader}`));
  return new Map(Object.entries(unzipSync(file)).map(([n, b]) => [n, new TextDecoder().decode(b)]));
}

/** Every kind of file is tried. */
export const COVERED = READ_ENDINGS.every(
  (e) => READERS.some((r) => r === e.slice(1)) || [".tsv", ".tab", ".markdown", ".htm", ".xlsm", ".ical"].includes(e),
);
