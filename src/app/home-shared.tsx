import { PageLink } from "@/ui/page-link";
import { WORDS } from "@/core/words/together";
import type { invitationsFor, Visited } from "@/server/timelines/invite";
import { buttonLook } from "@/ui/controls/button";

/** To what somebody is invited and has not come yet. */
export function Invitations({ of }: { of: Awaited<ReturnType<typeof invitationsFor>> }) {
  if (of.length === 0) return null;
  return (
    <section
      aria-label={WORDS.invitations}
      className="mb-6 max-w-[720px] rounded-lg border border-line bg-sun-wash p-4"
    >
      <h2 className="text-[18px]">{WORDS.invitations}</h2>
      <ul>
        {of.map((i) => (
          <li key={i.token} className="mt-2 flex flex-wrap items-center gap-2">
            <span className="me-auto">
              <strong>{i.title || WORDS.untitled}</strong>: {i.by}, {WORDS.may[i.role]}
            </span>
            <PageLink href={`/join/${i.token}`} className={buttonLook("plain", "small")}>
              {WORDS.come}
            </PageLink>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What somebody sees as a guest. */
export function SharedWithYou({ of }: { of: readonly Visited[] }) {
  if (of.length === 0) return null;
  return (
    <section aria-label={WORDS.sharedWithYou} className="mt-8">
      <h2 className="mb-2 text-[20px]">{WORDS.sharedWithYou}</h2>
      <ul className="divide-y divide-line border-y border-line">
        {of.map((t) => (
          <li key={t.id} className="flex flex-wrap items-baseline gap-x-3 py-2">
            <PageLink href={`/timelines/${t.id}`} className="text-[16px] font-bold text-verdigris underline">
              {t.title || WORDS.untitled}
            </PageLink>
            <span className="text-[14px] text-quiet">
              {WORDS.ownedBy(t.owner)} · {WORDS.may[t.role]}
            </span>
            {t.unread > 0 ? <strong className="text-[14px] text-copper-dark">{WORDS.unread(t.unread)}</strong> : null}
          </li>
        ))}
      </ul>
    </section>
  );
}
