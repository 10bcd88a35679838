import { inAlphabet } from "@/core/language/spoken";
import { WORDS } from "@/core/words/pages";
import { WORDS as CALLS } from "@/core/words/calls";
import { WORDS as TOGETHER } from "@/core/words/together";
import { PageLink } from "@/ui/page-link";
import { Suspense } from "react";
import { AccountNotices } from "@/features/accounts/account-notices";
import { BringInFile } from "@/features/home/bring-in-file";
import { TimelineMenu } from "@/features/home/delete-timeline";
import { FindTimelines } from "@/features/home/find-timelines";
import { noticesOf } from "@/server/accounts/notices";
import { classesOf } from "@/server/classes/class";
import { waitingFor, workOf } from "@/server/classes/home";
import { duePractices } from "@/server/classes/practice";
import { findPageUser } from "@/server/http/page-user";
import { listedTimelines } from "@/server/publishing/listed";
import { invitationsFor, visitedCards } from "@/server/timelines/invite";
import { type TimelineCard, timelinesOf } from "@/server/timelines/queries";
import { buttonLook } from "@/ui/controls/button";
import { PlainBar } from "@/ui/plain-bar";
import { UserBar } from "./user-bar";
import { ChartThumb, NoThumb } from "./home-thumb";
import { Invitations, SharedWithYou } from "./home-shared";
import { HomeAside } from "./home-aside";
import { ListOf } from "./published-list";
import { BUILD } from "./reader-response";

const MOST_THUMBS = 12;

/** From so many timelines on they are found and sorted. */
const MANY = 12;

export default async function HomePage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const user = await findPageUser();
  const asked = await searchParams;
  const one = (name: string) => (typeof asked[name] === "string" ? (asked[name] as string).slice(0, 200) : "");
  return user ? (
    <YourTimelines id={user.id} find={one("find")} sort={one("sort")} folder={one("folder")} />
  ) : (
    <FrontPage />
  );
}

/** The cards that fit what is looked for, in the order that is asked for. */
function chosen(cards: readonly TimelineCard[], find: string, sort: string, folder: string): TimelineCard[] {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const fit = cards.filter((c) => {
    const text = `${c.title}\n${c.subject}`.toLowerCase();
    return (folder === "" || c.folder === folder) && words.every((w) => text.includes(w));
  });
  if (sort !== "title" && sort !== "subject") return fit;
  return fit.sort((a, b) => inAlphabet(a[sort], b[sort]) || inAlphabet(a.title, b.title));
}

async function YourTimelines({ id, find, sort, folder }: { id: string; find: string; sort: string; folder: string }) {
  const notices = await noticesOf(id);
  const all = await timelinesOf(id, BUILD);
  const folders = [...new Set(all.flatMap((c) => (c.folder ? [c.folder] : [])))].sort();
  const cards = chosen(all, find, sort, folder);
  const looking = all.length > MANY || folders.length > 0 || find !== "" || folder !== "";
  const [invitations, visited] = [await invitationsFor(id), await visitedCards(id)];
  const [classes, work, teaching] = [await classesOf(id), await workOf(id), await waitingFor(id)];
  return (
    <>
      <UserBar />
      <AccountNotices notices={notices.map((n) => ({ ...n, at: n.at.toISOString() }))} />
      <div className="mx-auto flex min-h-[calc(100dvh-56px)] max-w-[1680px] max-lg:flex-col">
        <main className="min-w-0 flex-1 px-[26px] py-6 max-sm:px-4">
          <h1 className="text-[23px]">{WORDS.yourTimelines}</h1>
          <div className="mt-3 mb-6 flex flex-wrap gap-2">
            <PageLink href="/new" className={buttonLook("main")}>
              {WORDS.newTimeline}
            </PageLink>
            <BringInFile />
            <PageLink href="/join-class" className={buttonLook("plain")}>
              {WORDS.joinAClass}
            </PageLink>
            <PageLink href="/classes" className={buttonLook("plain")}>
              {WORDS.newClass}
            </PageLink>
            <PageLink href="/published/mine" className={buttonLook("quiet")}>
              {WORDS.publishedByMe}
            </PageLink>
            <PageLink href="/bin" className={buttonLook("quiet")}>
              {WORDS.bin}
            </PageLink>
          </div>
          <Invitations of={invitations} />
          {looking ? <FindTimelines find={find} sort={sort} folder={folder} folders={folders} /> : null}
          {all.length > 0 && cards.length === 0 ? <p>{WORDS.noneFits}</p> : null}
          {all.length === 0 ? (
            <div className="max-w-[560px] rounded-lg border border-line bg-panel p-5">
              <p>{WORDS.nothingHereYetANew}</p>
              <p className="mt-2">
                {WORDS.toSeeAFinishedOne}{" "}
                <PageLink href="/published" className="font-bold text-verdigris underline">
                  {WORDS.othersHavePublished}
                </PageLink>
                .
              </p>
            </div>
          ) : (
            <ul className="grid gap-4 [grid-template-columns:repeat(auto-fill,minmax(min(270px,100%),1fr))]">
              {cards.map((card, i) => (
                <li key={card.id} className="relative overflow-hidden rounded-lg border border-line">
                  {i < MOST_THUMBS ? (
                    <Suspense fallback={<NoThumb />}>
                      <ChartThumb card={card} of={id} />
                    </Suspense>
                  ) : (
                    <NoThumb />
                  )}
                  <div className="flex items-start gap-2 px-3 pt-2.5 pb-3">
                    <div className="min-w-0 flex-1">
                      <h2 className="text-[16px]">
                        <PageLink
                          href={`/timelines/${card.id}`}
                          className="rounded after:absolute after:inset-0 after:content-['']"
                        >
                          {card.title || WORDS.untitled}
                        </PageLink>
                      </h2>
                      <p className="mt-0.5 text-[14px]">
                        {card.events} {card.events === 1 ? WORDS.event : WORDS.events}
                        {card.others.length > 0 ? WORDS.with(card.others.join(", ")) : WORDS.onlyYou}
                      </p>
                      {card.folder ? (
                        <p className="mt-0.5 text-[14px] text-quiet">{WORDS.inFolder(card.folder)}</p>
                      ) : null}
                      {card.news > 0 ? (
                        <p className="mt-0.5 text-[14px] font-bold text-copper-dark">
                          {WORDS.newSince(card.news, card.newsBy.join(", "))}
                        </p>
                      ) : null}
                      {card.unread > 0 ? (
                        <p className="mt-0.5 text-[14px] font-bold text-copper-dark">{TOGETHER.unread(card.unread)}</p>
                      ) : null}
                      {card.sentIn > 0 ? (
                        <p className="relative z-[1] mt-0.5 text-[14px]">
                          <PageLink
                            href={`/timelines/${card.id}/sent`}
                            className="inline-block min-h-6 font-bold text-copper-dark underline"
                          >
                            {CALLS.waiting(card.sentIn)}
                          </PageLink>
                        </p>
                      ) : null}
                      <StateOf card={card} />
                    </div>
                    <div className="relative z-[1]">
                      <TimelineMenu
                        id={card.id}
                        title={card.title || WORDS.untitled}
                        owner={card.role === "owner"}
                        me={id}
                        folder={card.folder}
                        folders={folders}
                      />
                    </div>
                  </div>
                </li>
              ))}
            </ul>
          )}
          <SharedWithYou of={visited} />
        </main>
        {classes.length > 0 ? (
          <HomeAside classes={classes} work={work} teaching={teaching} practices={await duePractices(id)} />
        ) : null}
      </div>
    </>
  );
}

function StateOf({ card }: { card: TimelineCard }) {
  const live = card.visibility && !card.takenBackAt;
  const words = !card.visibility
    ? WORDS.draftOnlyItsEditorsCan
    : !live
      ? WORDS.takenBackOnlyItsEditors
      : {
          only_me: WORDS.publishedOnlyItsEditors,
          class: WORDS.publishedTheClass,
          school: WORDS.publishedTheSchool,
          password: WORDS.publishedWithAPassword,
          link: WORDS.publishedAnyoneWithTheLink,
          everybody: WORDS.publishedEverybody,
        }[card.visibility];
  return (
    <p className={`mt-0.5 text-[14px] ${live ? "text-verdigris" : "text-quiet"}`}>
      {live ? (
        <a href={`/t/${card.address}`} className="relative z-[1] underline">
          {words}
        </a>
      ) : (
        words
      )}
    </p>
  );
}

async function FrontPage() {
  const listed = await listedTimelines(6);
  const [live] = listed;
  return (
    <>
      <PlainBar>
        <PageLink href="/sign-in" className={buttonLook("dark")}>
          {WORDS.signIn}
        </PageLink>
      </PlainBar>
      <main className="mx-auto max-w-[1240px] px-5 py-10 max-sm:py-6">
        <h1 className="text-[38px] leading-[1.1] max-sm:text-[29px]">{WORDS.putWhatHappenedInOrder}</h1>
        <p className="mt-4 max-w-[620px] text-[18px]">{WORDS.writeEventsOneALine}</p>
        <div className="mt-6 flex flex-wrap gap-3">
          <PageLink href="/try" className={buttonLook("sun")}>
            {WORDS.beginNow}
          </PageLink>
          <PageLink href="/sign-up" className={buttonLook("plain")}>
            {WORDS.signUp}
          </PageLink>
          <PageLink href="/sign-in" className={buttonLook("plain")}>
            {WORDS.signIn}
          </PageLink>
          <PageLink href="/join-class" className={buttonLook("plain")}>
            {WORDS.joinAClass}
          </PageLink>
        </div>
        {live ? (
          <section aria-label={WORDS.oneOfThem} className="mt-9">
            <p className="mb-2 text-[15px] text-quiet">{WORDS.moveIt}</p>
            {/* The very page that readers get, in a frame: what one sees here is what one makes. */}
            <iframe
              title={WORDS.liveChart(live.title || WORDS.untitled)}
              src={`/t/${live.address}?as=embed`}
              className="h-[560px] w-full rounded-lg border border-line max-sm:h-[78vh]"
            />
          </section>
        ) : null}
        <div className="max-w-[880px]">
          <ListOf listed={listed} heading={WORDS.publishedForEverybody} />
          {listed.length > 0 ? (
            <p className="mt-3">
              <PageLink href="/published" className="text-verdigris underline">
                {WORDS.searchAll}
              </PageLink>
            </p>
          ) : null}
        </div>
      </main>
      <footer className="mx-auto max-w-[1240px] px-5 pb-8 text-[14px] text-quiet">
        <PageLink href="/help" className="me-4 underline">
          {WORDS.help}
        </PageLink>
        <PageLink href="/licences" className="underline">
          {WORDS.licences}
        </PageLink>
      </footer>
    </>
  );
}
