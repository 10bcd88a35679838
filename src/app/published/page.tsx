import { WORDS } from "@/core/words/published-pages";
import { askedFrom } from "./asked";
import { A_PAGE, MOST_COUNTED, searchPublished, subjectsInUse } from "@/server/publishing/search";
import { Button, buttonLook } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { dayText } from "@/core/time/zoned";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.title });

/** What is published for everybody: searched by a form that needs no script, one page of it at a time. */
export default async function PublishedPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { asked, typed, unread } = askedFrom(await searchParams);
  const [{ found, count }, subjects] = await Promise.all([searchPublished(asked), subjectsInUse()]);
  const anything = typed.q || typed.period || typed.subject || typed.pictures;
  const at = (page: number) =>
    `/published?${new URLSearchParams({ ...typed, ...(page ? { page: String(page) } : {}) })}`;
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[1080px] px-5 pb-12">
        <h1 className="mt-8 text-[26px]">{WORDS.title}</h1>
        <form method="get" className="mt-4 rounded-lg border border-line bg-panel p-4">
          <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-[2fr_1.2fr_1.2fr_1fr]">
            <Labelled id="asked-q" label={WORDS.words} hint={WORDS.wordsHint}>
              <input
                type="search"
                id="asked-q"
                name="q"
                defaultValue={typed.q}
                maxLength={200}
                className={`${INPUT} mt-1`}
              />
            </Labelled>
            <Labelled id="asked-period" label={WORDS.period} hint={WORDS.periodHint}>
              <input
                id="asked-period"
                name="period"
                defaultValue={typed.period}
                maxLength={80}
                className={`${INPUT} mt-1`}
              />
            </Labelled>
            <Labelled id="asked-subject" label={WORDS.subject}>
              <select id="asked-subject" name="subject" defaultValue={typed.subject ?? ""} className={`${INPUT} mt-1`}>
                <option value="">{WORDS.anySubject}</option>
                {[...new Set([...subjects, ...(typed.subject ? [typed.subject] : [])])].map((s) => (
                  <option key={s}>{s}</option>
                ))}
              </select>
            </Labelled>
            <Labelled id="asked-order" label={WORDS.order}>
              <select id="asked-order" name="order" defaultValue={asked.order} className={`${INPUT} mt-1`}>
                <option value="newest">{WORDS.newest}</option>
                <option value="most_read">{WORDS.mostRead}</option>
                <option value="best">{WORDS.best}</option>
              </select>
            </Labelled>
          </div>
          <div className="mt-3 flex flex-wrap items-center gap-4">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                name="pictures"
                value="1"
                defaultChecked={asked.pictures}
                className="accent-verdigris"
              />
              {WORDS.withPictures}
            </label>
            <Button kind="main" type="submit">
              {WORDS.look}
            </Button>
            {anything ? (
              <a href="/published" className="text-verdigris underline">
                {WORDS.showAll}
              </a>
            ) : null}
          </div>
        </form>
        {unread ? (
          <p role="alert" className="mt-3 font-bold text-copper-dark">
            {WORDS.periodUnread(unread)}
          </p>
        ) : null}
        <p role="status" className="mt-5 text-[15px] text-quiet">
          {count > 0
            ? WORDS.found(Math.min(count, MOST_COUNTED), count > MOST_COUNTED)
            : anything
              ? WORDS.nothingFound
              : WORDS.nobodyYet}
        </p>
        {found.length > 0 ? (
          <ul className="mt-2 divide-y divide-line border-y border-line">
            {found.map((t) => (
              <li key={t.timeline} className="flex gap-4 py-3">
                <img
                  src={`/t/${t.address}/preview`}
                  alt=""
                  width={150}
                  height={79}
                  loading="lazy"
                  className="h-[79px] w-[150px] shrink-0 border max-sm:hidden border-line bg-panel object-cover"
                />
                <div className="min-w-0">
                  <a href={`/t/${t.address}`} className="text-[17px] font-bold text-verdigris underline">
                    {t.title || WORDS.untitled}
                  </a>
                  <p className="mt-0.5 text-[14px]">
                    {[
                      t.by ? WORDS.by(t.by) : "",
                      t.subject,
                      WORDS.events(t.events),
                      t.pictures > 0 ? WORDS.pictures(t.pictures) : "",
                    ]
                      .filter(Boolean)
                      .join(" · ")}
                  </p>
                  <p className="text-[14px] text-quiet">
                    {dayText(t.publishedAt, "UTC")} · {WORDS.openedTimes(t.opened)} ·{" "}
                    <a href={`/published/${t.address}`} className="underline">
                      {WORDS.about}
                    </a>
                  </p>
                </div>
              </li>
            ))}
          </ul>
        ) : null}
        {asked.page > 0 || count > (asked.page + 1) * A_PAGE ? (
          <nav aria-label={WORDS.page(asked.page + 1)} className="mt-5 flex items-center gap-4">
            {asked.page > 0 ? (
              <a href={at(asked.page - 1)} className={buttonLook("plain")}>
                {WORDS.earlier}
              </a>
            ) : null}
            <span className="text-quiet">{WORDS.page(asked.page + 1)}</span>
            {count > (asked.page + 1) * A_PAGE && (asked.page + 1) * A_PAGE < MOST_COUNTED ? (
              <a href={at(asked.page + 1)} className={buttonLook("plain")}>
                {WORDS.later}
              </a>
            ) : null}
          </nav>
        ) : null}
      </main>
    </>
  );
}

function Labelled({
  id,
  label,
  hint,
  children,
}: {
  id: string;
  label: string;
  hint?: string;
  children: React.ReactNode;
}) {
  return (
    <div className="text-[13px] text-quiet">
      <label htmlFor={id}>
        {label}
        {hint ? <span className="ms-1.5">({hint})</span> : null}
      </label>
      {children}
    </div>
  );
}
