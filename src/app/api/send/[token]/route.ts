import { object } from "@/core/text/schema";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { type SentIn, sendIn } from "@/server/timelines/calls";

const readSent = shape<SentIn>(
  object({
    name: { type: "string", maxLength: 80 },
    when: { type: "string", maxLength: 300 },
    title: { type: "string", maxLength: 300 },
    text: { type: "string", maxLength: 4_000 },
  }),
);

/** Whoever has the link sends an event in; it waits until it is looked at. */
export const POST = openRoute({ body: readSent, mostBody: 20_000 }, async ({ request, params, body }) => {
  if (!(await mayTryFrom("send", request))) return fail("too_often");
  return sendIn(params.token!, body);
});
