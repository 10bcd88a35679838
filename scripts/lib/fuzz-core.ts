import { dateLine } from "@/cli/dates";
import { readWhen } from "@/core/time/read/read-when";

const PIECES = [
  ..."0123456789-/.,:;?~%[](){}TZXYSE '\u2013\u2014".split(""),
  ..."about before after between and from to until since early mid late the of BC BCE AD CE BP ago million billion thousand years century millennium spring winter autumn".split(
    " ",
  ),
  ..."Jan February Mar april May Monday Thu 1st 22nd 31 29 1872 1840s 0 72 2004-XX 156X 1950S2 Y-17E7 .. am pm 22:10 noon present today (Julian) c. ca 12,000 4.6 Ga\u0000 \ud83c\udf09 \u0661 1e9".split(
    " ",
  ),
];

/** Puts texts together from pieces of dates and of nonsense; gives what went wrong. */
export function fuzz(count: number, seed: number): string[] {
  let s = seed;
  const chance = (n: number) => {
    s = (s * 16_807) % 2_147_483_647;
    return s % n;
  };
  const wrong: string[] = [];
  for (let i = 0; i < count; i++) {
    const glue = chance(3) === 0 ? "" : " ";
    const text = Array.from({ length: 1 + chance(9) }, () => PIECES[chance(PIECES.length)]!).join(glue);
    try {
      const when = readWhen(text, { order: chance(2) ? "dmy" : null, day: chance(2) ? 683_988 : null });
      if (when.typed !== text) wrong.push(`lost: ${JSON.stringify(text)}`);
      const line = dateLine(text, { day: 683_988 });
      if (line.ok && line.from !== null && line.to !== null && compareIso(String(line.from), String(line.to)) > 0)
        wrong.push(`ends before it begins: ${JSON.stringify(line)}`);
      if (line.ok && typeof line.edtf !== "string") wrong.push(`no notation: ${JSON.stringify(line)}`);
    } catch (error) {
      wrong.push(`threw: ${JSON.stringify(text)} ${String(error)}`);
    }
  }
  return wrong;
}

/** By year as a number, then as text: signed and long years do not sort as text. */
function compareIso(a: string, b: string): number {
  const parts = (t: string) => /^([+-]?\d+)(.*)$/.exec(t)!;
  const [x, y] = [parts(a), parts(b)];
  return Number(x[1]) - Number(y[1]) || (x[2]! < y[2]! ? -1 : x[2]! > y[2]! ? 1 : 0);
}
