import "server-only";
import type { Publication } from "@/core/published/publication";
import { toWord, WORD_LENGTH } from "@/core/published/short-link";
import { db } from "../db/pool";
import { type Failure, fail, isFailure, Refused, refusal } from "../http/failure";
import { requireRight } from "../timelines/access";
import { publicationOf } from "./publish";

/** So many words lead to one page at most: each is taken from everybody else. */
const MOST_WORDS = 10;
/** Addresses are made of twelve of these letters and digits: no word may look like one. */
const LIKE_AN_ADDRESS = /^[2-9a-hjkmnp-z]{12}$/;

/** Has a published page be reached by a word of its owner's choice, too. Words it had before lead there still. */
export async function chooseWord(
  timeline: string,
  by: string,
  typed: string,
): Promise<Failure | { publication: Publication }> {
  const word = toWord(typed);
  if (word.length < WORD_LENGTH.least || LIKE_AN_ADDRESS.test(word)) return fail("word_malformed");
  const done = await db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, by, "own");
      const [there] = await tx`select from publication where timeline_id = ${timeline} for update`;
      if (!there) throw new Refused(fail("not_found"));
      const [taken] = await tx`
        insert into short_link (word, timeline_id) values (${word}, ${timeline})
        on conflict (word) do update set made_at = clock_timestamp() where short_link.timeline_id = ${timeline} returning word`;
      if (!taken) throw new Refused(fail("word_taken"));
      const [{ n } = { n: 0 }] = await tx<{ n: number }[]>`
        select count(*)::int as n from short_link where timeline_id = ${timeline}`;
      if (n > MOST_WORDS) throw new Refused(fail("words_full"));
      return true;
    })
    .catch(refusal);
  if (isFailure(done)) return done;
  return { publication: (await publicationOf(timeline))! };
}
