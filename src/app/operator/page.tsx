import { notFound } from "next/navigation";
import { LETTERS, WORDS } from "@/core/words/published-pages";
import { WORDS as SAID } from "@/core/words/reports";
import { DecideSaid } from "@/features/publishing/decide-said";
import { Decide } from "@/features/publishing/decide";
import { requirePageUser } from "@/server/http/page-user";
import { keyLetters, isReal } from "@/server/mail/outgoing";
import { isOperator, reportedPages, type ReportedPage } from "@/server/publishing/reports";
import { saidReports } from "@/server/timelines/said-reports";
import { LocalTime } from "@/ui/local-time";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.reports });

/** What readers have reported, for those who keep this site. */
export default async function OperatorPage() {
  const user = await requirePageUser("/operator");
  if (!(await isOperator(user.id))) notFound();
  const { waiting, hidden } = await reportedPages();
  const said = await saidReports();
  const letters = await keyLetters();
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[880px] px-5 pb-12">
        <h1 className="mt-8 mb-3 text-[26px]">{WORDS.reports}</h1>
        {waiting.length === 0 ? <p>{WORDS.noReports}</p> : <List pages={waiting} />}
        <h2 className="mt-8 mb-2 text-[20px]">{WORDS.hiddenOnes}</h2>
        {hidden.length === 0 ? <p>{WORDS.noneHidden}</p> : <List pages={hidden} />}
        <h2 className="mt-8 mb-2 text-[20px]">{SAID.waiting}</h2>
        {said.length === 0 ? <p>{SAID.none}</p> : null}
        <ul className="divide-y divide-line border-y border-line empty:hidden">
          {said.map((r) => (
            <li key={r.id} className="py-3" data-testid="said-report">
              <p className="font-bold">{SAID.saidIn(r.saidBy, r.title)}</p>
              <p className="border-s-2 border-line ps-2 whitespace-pre-line [overflow-wrap:anywhere]">{r.text}</p>
              <p className="mt-1 text-[15px]">
                <strong>{WORDS.reasons[r.reason]}.</strong> {r.words}{" "}
                <span className="text-[13px] text-quiet">
                  <LocalTime at={r.at.toISOString()} />
                </span>
              </p>
              {r.there ? null : <p className="text-[14px] text-quiet">{SAID.gone}</p>}
              <DecideSaid report={r.id} by={r.saidBy} there={r.there} />
            </li>
          ))}
        </ul>
        <h2 className="mt-8 mb-2 text-[20px]">{LETTERS.title}</h2>
        <p className="mb-3 text-[15px] text-quiet">{isReal() ? LETTERS.sent : LETTERS.notSent}</p>
        {letters.map((l) => (
          <article key={l.id} className="mb-3 rounded-lg border border-line p-4" data-testid="letter">
            <h3 className="text-[16px]">{l.subject}</h3>
            <p className="mb-2 text-[14px] text-quiet">
              {WORDS.mailTo(l.recipient)} · <LocalTime at={l.at.toISOString()} />
            </p>
            <p className="whitespace-pre-wrap [overflow-wrap:anywhere]">{l.body}</p>
          </article>
        ))}
      </main>
    </>
  );
}

function List({ pages }: { pages: ReportedPage[] }) {
  return (
    <ul className="divide-y divide-line border-y border-line">
      {pages.map((p) => (
        <li key={p.timeline} className="py-3">
          <p>
            <a href={`/t/${p.address}`} className="font-bold text-verdigris underline">
              {p.title || WORDS.untitled}
            </a>{" "}
            <span className="text-quiet">{p.byline ? WORDS.by(p.byline) : ""}</span>
          </p>
          {p.reports.map((r) => (
            <p key={`${r.at} ${r.words}`} className="mt-1 text-[15px]">
              <strong>{WORDS.reasons[r.reason]}.</strong> {r.words}{" "}
              <span className="text-[13px] text-quiet">
                <LocalTime at={new Date(r.at).toISOString()} />
              </span>
            </p>
          ))}
          <Decide timeline={p.timeline} title={p.title || WORDS.untitled} hidden={p.hiddenAt !== null} />
        </li>
      ))}
    </ul>
  );
}
