import { PageLink } from "@/ui/page-link";
import { zonedText } from "@/core/time/zoned";
import { WORDS } from "@/core/words/published-pages";
import { TakeBack } from "@/features/publishing/take-back";
import { requirePageUser } from "@/server/http/page-user";
import { DAYS_SHOWN, type OwnPublished, publishedBy } from "@/server/publishing/mine";
import { UserBar } from "../../user-bar";

export const generateMetadata = () => ({ title: WORDS.mine });

/** All one has published: who can see it, and how often it was opened. */
export default async function PublishedByMe() {
  const user = await requirePageUser("/published/mine");
  const own = await publishedBy(user.id);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[1080px] px-5 pb-12">
        <h1 className="mt-8 mb-4 text-[26px]">{WORDS.mine}</h1>
        {own.length === 0 ? (
          <p className="rounded-lg border border-line bg-panel p-5">{WORDS.mineNone}</p>
        ) : (
          <ul className="divide-y divide-line border-y border-line">
            {own.map((p) => (
              <li
                key={p.timeline}
                className="grid items-center gap-x-6 gap-y-2 py-3 md:grid-cols-[minmax(0,1fr)_220px_auto]"
              >
                <div className="min-w-0">
                  <a href={`/t/${p.address}`} className="text-[17px] font-bold text-verdigris underline">
                    {p.title || WORDS.untitled}
                  </a>
                  <p className="text-[14px]">
                    <strong className={p.state === "open" ? "" : "text-copper-dark"}>{whoSees(p)}</strong>
                    {more(p).map((m) => ` · ${m}`)}
                  </p>
                  <p className="text-[14px] text-quiet">
                    {WORDS.publishedOn(zonedText(p.publishedAt, p.zone))}{" "}
                    {p.later > 0 ? (
                      <PageLink href={`/timelines/${p.timeline}`} className="underline">
                        {WORDS.laterChanges(p.later)}
                      </PageLink>
                    ) : null}
                  </p>
                </div>
                <Opened own={p} />
                {p.state === "taken_back" ? (
                  <span />
                ) : (
                  <TakeBack timeline={p.timeline} title={p.title || WORDS.untitled} />
                )}
              </li>
            ))}
          </ul>
        )}
      </main>
    </>
  );
}

function whoSees(p: OwnPublished): string {
  if (p.state === "taken_back") return WORDS.nobodySees;
  if (p.state === "hidden") return WORDS.hiddenSees;
  if (p.visibility === "school" && p.schoolName) return p.schoolName;
  return p.visibility === "class" && p.className ? p.className : WORDS.whoSees[p.visibility];
}

function more(p: OwnPublished): string[] {
  const at = (d: Date) => zonedText(d, p.zone, true);
  return [
    ...(p.opensAt && p.state === "not_yet" ? [WORDS.fromOn(at(p.opensAt))] : []),
    ...(p.closesAt ? [p.state === "over" ? WORDS.wasUntil(at(p.closesAt)) : WORDS.untilOn(at(p.closesAt))] : []),
    ...(p.embedSites.length > 0
      ? [WORDS.shownIn(p.embedSites.map((s) => (s === "*" ? WORDS.anySite : s.replace(/^https?:\/\//, ""))).join(", "))]
      : []),
    ...(p.copies ? [WORDS.mayBeCopied] : []),
  ];
}

/** How often it was opened, a column a day. */
function Opened({ own }: { own: OwnPublished }) {
  const sum = own.days.reduce((a, b) => a + b, 0);
  const most = Math.max(1, ...own.days);
  const [step, height] = [7, 36];
  return (
    <div>
      {sum > 0 ? (
        <svg
          role="img"
          aria-label={WORDS.openedDays(sum, DAYS_SHOWN)}
          viewBox={`0 0 ${DAYS_SHOWN * step} ${height}`}
          className="block h-9 w-full text-verdigris"
          preserveAspectRatio="none"
        >
          <path d={`M0 ${height - 0.5}H${DAYS_SHOWN * step}`} stroke="#d5dedc" />
          {own.days.map((n, i) =>
            n > 0 ? (
              <rect
                // biome-ignore lint/suspicious/noArrayIndexKey: a day has no other name
                key={i}
                x={i * step + 1}
                width={step - 2}
                y={height - Math.max(2, (n / most) * (height - 2))}
                height={Math.max(2, (n / most) * (height - 2))}
                fill="currentColor"
              />
            ) : null,
          )}
        </svg>
      ) : null}
      <p className="mt-0.5 text-[13px] text-quiet">
        {WORDS.openedTimes(own.opened)}
        {own.opened > 0 ? ` · ${WORDS.openedLast(sum, DAYS_SHOWN)}` : ""}
      </p>
    </div>
  );
}
