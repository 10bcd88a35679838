import { WORDS } from "@/core/words/pages";
import { PutTimelineBack } from "@/features/home/put-timeline-back";
import { requirePageUser } from "@/server/http/page-user";
import { binnedTimelines } from "@/server/timelines/bin";
import { BIN_DAYS } from "@/server/timelines/purge";
import { LocalTime } from "@/ui/local-time";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.bin });

/** The timelines one has deleted, until they are gone for good. */
export default async function BinPage() {
  const user = await requirePageUser("/bin");
  const binned = await binnedTimelines(user.id);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[880px] px-5 pb-12">
        <h1 className="mt-8 text-[26px]">{WORDS.bin}</h1>
        <p className="mt-2 max-w-[64ch]">{WORDS.whatIsInTheBin(BIN_DAYS)}</p>
        {binned.length === 0 ? (
          <p className="mt-5 rounded-lg border border-line bg-panel p-5">{WORDS.theBinIsEmpty}</p>
        ) : (
          <ul className="mt-5 divide-y divide-line border-y border-line">
            {binned.map((t) => (
              <li key={t.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
                <span className="min-w-0 flex-1">
                  <strong className="block truncate">{t.title || WORDS.untitled}</strong>
                  <span className="text-[14px] text-quiet">
                    {t.events} {t.events === 1 ? WORDS.event : WORDS.events} · {WORDS.youDeletedIt}{" "}
                    <LocalTime at={t.deletedAt.toISOString()} /> · {WORDS.daysLeft(t.daysLeft)}
                  </span>
                </span>
                <PutTimelineBack id={t.id} title={t.title || WORDS.untitled} />
              </li>
            ))}
          </ul>
        )}
      </main>
    </>
  );
}
