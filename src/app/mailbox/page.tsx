import { WORDS } from "@/core/words/published-pages";
import { requirePageUser } from "@/server/http/page-user";
import { isReal, lettersOf } from "@/server/mail/outgoing";
import { LocalTime } from "@/ui/local-time";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.mailbox });

/** The letters that were sent in one's name; where no mail server is set they are nowhere else. */
export default async function MailboxPage() {
  const user = await requirePageUser("/mailbox");
  const letters = await lettersOf(user.id);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[720px] px-5 pb-12">
        <h1 className="mt-8 text-[26px]">{WORDS.mailbox}</h1>
        <p className="mt-2 mb-5 text-quiet">{isReal() ? WORDS.mailboxReal : WORDS.mailboxMore}</p>
        {letters.length === 0 ? <p className="rounded-lg border border-line bg-panel p-5">{WORDS.noMail}</p> : null}
        {letters.map((l) => (
          <article key={l.id} className="mb-4 rounded-lg border border-line p-4" data-testid="letter">
            <h2 className="text-[17px]">{l.subject}</h2>
            <p className="mb-3 text-[14px] text-quiet">
              {WORDS.mailTo(l.recipient)} · <LocalTime at={l.at.toISOString()} />
              {isReal()
                ? ` · ${l.sentAt ? WORDS.mailSent : l.failed ? `${WORDS.mailNotSent} ${l.failed}` : WORDS.mailWaiting}`
                : ""}
            </p>
            <p className="whitespace-pre-wrap [overflow-wrap:anywhere]">{l.body}</p>
          </article>
        ))}
      </main>
    </>
  );
}
