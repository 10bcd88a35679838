import { object } from "@/core/text/schema";
import { invitationLetter } from "@/core/words/letters";
import { findAccount } from "@/server/accounts/account";
import { mayTryFrom } from "@/server/accounts/tried";
import { db } from "@/server/db/pool";
import { INVITED_AS, type InvitedAs } from "@/core/timeline/roles";
import { fail, isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { isReal, readAddresses, sendLetters } from "@/server/mail/outgoing";
import { requireRight } from "@/server/timelines/access";
import { invitePeople, peopleOf } from "@/server/timelines/invite";

const readInvited = shape<{ to: string; role: InvitedAs }>(
  object({ to: { type: "string", maxLength: 6_000 }, role: { enum: [...INVITED_AS] } }),
);

/** Who may see it; to its owner also what is open to come in by. */
export const GET = memberRoute({}, async ({ user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const { people, invitations } = await peopleOf(params.id!, user.id);
  return { people, invitations: invitations.map((i) => ({ ...i, endsAt: i.endsAt?.toISOString() ?? null })) };
});

/** Invites by e-mail addresses, commas between them, or somebody of one's class by their name. */
export const POST = memberRoute({ body: readInvited }, async ({ request, user, params, body }) => {
  await requireRight(db(), params.id!, user.id, "own");
  const isMail = body.to.includes("@");
  const emails = isMail ? readAddresses(body.to) : [];
  if (!emails) return fail("mail_malformed");
  const own = await findAccount(user.id);
  if (isMail && !own?.email) return fail("mail_needs_email");
  for (const _ of emails) if (!(await mayTryFrom("mail", request, user.id))) return fail("too_often");
  const done = await invitePeople(params.id!, user.id, isMail ? { emails } : { name: body.to }, body.role);
  if (isFailure(done)) return done;
  const { invited, title, by } = done;
  const letter = (token: string) => invitationLetter(title, by, body.role, ownAddress(request, `/join/${token}`).href);
  await sendLetters(invited.flatMap((i) => (i.email ? [{ account: user.id, to: i.email, ...letter(i.token) }] : [])));
  return { invited: invited.length, letters: isMail, real: isReal() };
});
