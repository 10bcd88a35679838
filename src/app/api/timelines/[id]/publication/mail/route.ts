import { letterAbout } from "@/core/words/letters";
import { findAccount } from "@/server/accounts/account";
import { mayTryFrom } from "@/server/accounts/tried";
import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { isReal, readAddresses, sendLetters } from "@/server/mail/outgoing";
import { publicationOf } from "@/server/publishing/publish";
import { titleOf } from "@/server/timelines/queries";
import { requireRight } from "@/server/timelines/access";

const readMail = shape<{ to: string; words: string }>({
  type: "object",
  properties: { to: { type: "string", maxLength: 6_000 }, words: { type: "string", maxLength: 2_000 } },
  required: ["to", "words"],
  additionalProperties: false,
});

/** Sends the link to a published page by mail, in the name of its owner, who can be answered. */
export const POST = memberRoute({ body: readMail }, async ({ request, user, params, body }) => {
  const timeline = params.id!;
  await requireRight(db(), timeline, user.id, "own");
  const own = await findAccount(user.id);
  if (!own?.email) return fail("mail_needs_email");
  // Line breaks and other control signs begin no second header: they make it no address at all.
  const to = readAddresses(body.to);
  if (!to) return fail("mail_malformed");
  const publication = await publicationOf(timeline);
  if (!publication || publication.state === "taken_back") return fail("not_found");
  for (const _ of to) if (!(await mayTryFrom("mail", request, user.id))) return fail("too_often");
  const link = ownAddress(request, `/t/${publication.word ?? publication.address}`).href;
  const letter = letterAbout({
    title: await titleOf(timeline),
    link,
    from: own.displayName,
    email: own.email,
    words: body.words.trim(),
    password: publication.visibility === "password",
  });
  await sendLetters(to.map((t) => ({ account: user.id, to: t, ...letter })));
  return { sent: to.length, real: isReal() };
});
