import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { chooseWord } from "@/server/publishing/short-link";

const readWord = stringsOf("word");

/** Has a published page be reached by a word, too. */
export const PUT = memberRoute({ body: readWord }, async ({ user, params, body }) => {
  const done = await chooseWord(params.id!, user.id, body.word);
  return "failed" in done ? done : { publication: done.publication };
});
