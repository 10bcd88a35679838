import type { LabelPart } from "../../timeline/fields";
import type { Language } from "../../language/spoken";
import { drawnIn } from "../../words/chart";
import type { Timeline, TimelineEvent } from "../../timeline/timeline";

/** Its label has a date, and a title; the date only where no mark of the ridge says the same. */
export const SAYS_DATE = 1;
export const SAYS_TITLE = 2;
export const SAYS_UNMARKED = 4;

export const SAYS_WORDS = 8;
export const SAYS_PICTURE = 16;
const SAID: Record<LabelPart, number> = {
  date: SAYS_DATE,
  title: SAYS_TITLE,
  words: SAYS_WORDS,
  picture: SAYS_PICTURE,
};

/** What labels say where nothing else is said of one, as bits. */
export const usuallySaid = (t: Pick<Timeline, "labelDates">): number =>
  SAYS_TITLE |
  SAYS_WORDS |
  SAYS_PICTURE |
  (t.labelDates === "never" ? 0 : SAYS_DATE) |
  (t.labelDates === "unmarked" ? SAYS_UNMARKED : 0);

/** What the label of one says: what its author wants of it counts before what is wanted of all. */
export const partsSaid = (e: TimelineEvent, usual: number): number =>
  e.labelSays ? e.labelSays.reduce((bits, part) => bits | SAID[part], 0) : usual;

/** The same when it is known whether it has a picture: something has to stand there. */
export function saidBeside(said: number, pictured: boolean, titled: boolean): number {
  const kept = titled || !pictured ? said : said & ~SAYS_TITLE;
  return (kept & (SAYS_TITLE | SAYS_DATE)) === 0 && !pictured ? kept | SAYS_TITLE : kept;
}

/** Events without a date that stand together say so once, in the first of their labels; `isUndated` says which they are. */
export function sayUndated(
  data: { count: number; dates: string[]; shortDates: string[] },
  isUndated: (i: number) => boolean,
  language: Language,
): void {
  for (let i = 0; i < data.count; i++)
    if (isUndated(i) && data.dates[i] === "" && (i === 0 || !isUndated(i - 1)))
      data.dates[i] = data.shortDates[i] = drawnIn(language).noDateYet;
}
