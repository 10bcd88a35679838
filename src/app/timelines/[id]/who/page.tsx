import { WORDS as COMMON } from "@/core/words/common";
import { locale } from "@/core/language/spoken";
import { PageLink } from "@/ui/page-link";
import { notFound } from "next/navigation";
import { WORDS } from "@/core/words/figures";
import { Bars, FigureTable } from "@/features/classes/bars";
import { worksFor } from "@/server/classes/reach";
import { onlyOf } from "@/server/classes/shares";
import { db } from "@/server/db/pool";
import { requirePageUser } from "@/server/http/page-user";
import { hasRight } from "@/server/timelines/access";
import { LocalTime } from "@/ui/local-time";
import { buttonLook } from "@/ui/controls/button";
import { whoDid } from "../../../desk-work";
import { UserBar } from "../../../user-bar";

export const generateMetadata = () => ({ title: WORDS.who });

const DAY_MS = 86_400_000;

/** Who did what in a work: for those who teach its class all of it, for each who wrote it what is counted of themselves. */
export default async function WhoPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const user = await requirePageUser(`/timelines/${id}/who`);
  const teaches = await worksFor(db(), id, user.id);
  if (!teaches && !(await hasRight(db(), id, user.id, "edit"))) notFound();
  const all = await whoDid(id);
  const shares = all && (teaches ? all : onlyOf(all, user.id));
  const name = (account: string) => shares?.names[account] ?? "";
  const people = Object.keys(shares?.names ?? {}).map((account) => ({
    account,
    share: shares!.people.find((p) => p.author === account) ?? null,
  }));
  const written = people.filter((p) => p.share);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[920px] px-5 py-7">
        <div className="flex flex-wrap items-baseline gap-3">
          <h1 className="text-[26px]">{WORDS.who}</h1>
          {teaches ? (
            <a href={`/api/timelines/${id}/who`} className={`${buttonLook("plain", "small")} ms-auto`}>
              {WORDS.asCsv}
            </a>
          ) : (
            <PageLink href={`/timelines/${id}`} className={`${buttonLook("plain", "small")} ms-auto`}>
              {WORDS.backToTimeline}
            </PageLink>
          )}
        </div>
        <p className="mt-1 mb-5 max-w-[62ch] text-quiet">{teaches ? WORDS.whoHelp : WORDS.whoSelf}</p>
        {shares === null ? <p>{WORDS.cannot}</p> : written.length === 0 ? <p>{WORDS.nothingYet}</p> : null}
        {shares && written.length > 0 ? (
          <>
            <section aria-label={WORDS.wordsChart}>
              <h2 className="mb-1 text-[18px]">{WORDS.wordsChart}</h2>
              <Bars
                label={WORDS.wordsChart}
                lying
                data={people.map(({ account, share }) => ({
                  name: name(account),
                  words: share?.wordsThere ?? 0,
                  events: share?.eventsAdded ?? 0,
                }))}
                series={[
                  { key: "words", name: WORDS.wordsThere },
                  { key: "events", name: WORDS.eventsAdded },
                ]}
              />
              <FigureTable
                open
                summary={WORDS.asTable}
                head={[
                  WORDS.person,
                  WORDS.eventsAdded,
                  WORDS.eventsThere,
                  WORDS.wordsThere,
                  WORDS.wordsWritten,
                  WORDS.wordsOfOthers,
                  WORDS.pictures,
                  WORDS.sounds,
                  WORDS.sources,
                  WORDS.sittings,
                  WORDS.minutes,
                ]}
                rows={people.map(({ account, share: s }) => [
                  name(account),
                  s?.eventsAdded ?? 0,
                  s?.eventsThere ?? 0,
                  s?.wordsThere ?? 0,
                  s?.wordsWritten ?? 0,
                  s?.wordsOfOthers ?? 0,
                  s?.pictures ?? 0,
                  s?.sounds ?? 0,
                  s?.sources ?? 0,
                  s?.sittings ?? 0,
                  s?.minutes ?? 0,
                ])}
              />
            </section>
            <section aria-label={WORDS.timeChart} className="mt-7">
              <h2 className="mb-1 text-[18px]">{WORDS.timeChart}</h2>
              <Bars
                label={WORDS.timeChart}
                data={daysOf(shares.stretches).map(({ day, minutes }) => ({
                  name: day,
                  ...Object.fromEntries(people.map((p) => [p.account, minutes.get(p.account) ?? 0])),
                }))}
                series={people.map((p) => ({ key: p.account, name: name(p.account) }))}
              />
              <FigureTable
                summary={WORDS.asTable}
                head={["", ...people.map((p) => `${name(p.account)}, ${WORDS.minutesADay}`)]}
                rows={daysOf(shares.stretches).map(({ day, minutes }) => [
                  day,
                  ...people.map((p) => minutes.get(p.account) ?? 0),
                ])}
              />
            </section>
            <section aria-label={WORDS.atOnce} className="mt-7">
              <h2 className="mb-1 text-[18px]">{WORDS.atOnce}</h2>
              <p className="mb-1 max-w-[62ch] text-[14px] text-quiet">
                {shares.atOnce.length === 0 ? WORDS.atOnceNone : WORDS.atOnceHelp}
              </p>
              <ul className="flex flex-col gap-1.5 text-[15px]">
                {shares.atOnce.map((p) => (
                  <li key={`${p.at} ${p.of}`}>
                    <strong>
                      {WORDS.atOnceLine(
                        name(p.author),
                        p.words,
                        p.of === "introduction"
                          ? WORDS.introduction
                          : p.of === "closing"
                            ? WORDS.closing
                            : shares.titles[p.of]
                              ? COMMON.named(shares.titles[p.of] ?? "")
                              : WORDS.anEvent,
                      )}
                    </strong>{" "}
                    <LocalTime at={new Date(p.at).toISOString()} /> <q className="text-quiet">{p.begins} …</q>
                  </li>
                ))}
              </ul>
            </section>
          </>
        ) : null}
      </main>
    </>
  );
}

/** Minutes of each person, a day each, the first day first. */
function daysOf(
  stretches: readonly { author: string; from: number; to: number }[],
): { day: string; minutes: Map<string, number> }[] {
  const days = new Map<number, Map<string, number>>();
  for (const s of stretches) {
    const day = Math.floor(s.from / DAY_MS);
    const of = days.get(day) ?? new Map<string, number>();
    of.set(s.author, (of.get(s.author) ?? 0) + Math.max(1, Math.round((s.to - s.from) / 60_000)));
    days.set(day, of);
  }
  return [...days]
    .sort((a, b) => a[0] - b[0])
    .map(([day, minutes]) => ({
      day: new Date(day * DAY_MS).toLocaleDateString(locale(), { day: "numeric", month: "short", timeZone: "UTC" }),
      minutes,
    }));
}
