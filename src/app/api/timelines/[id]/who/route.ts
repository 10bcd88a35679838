import { WORDS } from "@/core/words/figures";
import { worksFor } from "@/server/classes/reach";
import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { whoDid } from "../../../../desk-work";
import { csvResponse } from "../../../../csv-response";

/** Who did what, as a table: for those who teach its class. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const id = params.id!;
  if (!(await worksFor(db(), id, user.id))) return fail("not_found");
  const shares = await whoDid(id);
  if (!shares) return fail("busy");
  return csvResponse(
    Object.entries(shares.names).map(([account, name]) => {
      const s = shares.people.find((p) => p.author === account);
      return {
        [WORDS.person]: name,
        [WORDS.eventsAdded]: s?.eventsAdded ?? 0,
        [WORDS.eventsThere]: s?.eventsThere ?? 0,
        [WORDS.wordsThere]: s?.wordsThere ?? 0,
        [WORDS.wordsWritten]: s?.wordsWritten ?? 0,
        [WORDS.wordsOfOthers]: s?.wordsOfOthers ?? 0,
        [WORDS.pictures]: s?.pictures ?? 0,
        [WORDS.sounds]: s?.sounds ?? 0,
        [WORDS.sources]: s?.sources ?? 0,
        [WORDS.sittings]: s?.sittings ?? 0,
        [WORDS.minutes]: s?.minutes ?? 0,
      };
    }),
    WORDS.who,
  );
});
