import Link from "next/link";
import { Suspense } from "react";
import { AccountNotices } from "@/features/accounts/account-notices";
import { TimelineMenu } from "@/features/home/delete-timeline";
import { noticesOf } from "@/server/accounts/account";
import { classesOf } from "@/server/classes/class";
import { waitingFor, workOf } from "@/server/classes/home";
import { findPageUser } from "@/server/http/page-user";
import { listedTimelines } from "@/server/timelines/publish";
import { type TimelineCard, timelinesOf } from "@/server/timelines/queries";
import { buttonLook } from "@/ui/controls/button";
import { PlainBar } from "@/ui/plain-bar";
import { UserBar } from "./user-bar";
import { ChartThumb, NoThumb } from "./home-thumb";
import { HomeAside } from "./home-aside";
import { ListOf } from "./published-list";
import { BUILD } from "./reader-response";

const MOST_THUMBS = 12;

export default async function HomePage() {
  const user = await findPageUser();
  return user ? <YourTimelines id={user.id} /> : <FrontPage />;
}

async function YourTimelines({ id }: { id: string }) {
  const notices = await noticesOf(id);
  const cards = await timelinesOf(id, BUILD);
  const [classes, work, teaching] = [await classesOf(id), await workOf(id), await waitingFor(id)];
  return (
    <>
      <UserBar />
      <AccountNotices notices={notices.map((n) => ({ ...n, at: n.at.toISOString() }))} />
      <div className="mx-auto flex min-h-[calc(100dvh-56px)] max-w-[1280px] max-lg:flex-col">
        <main className="min-w-0 flex-1 px-[26px] py-6 max-sm:px-4">
          <h1 className="text-[23px]">Your timelines</h1>
          <div className="mt-3 mb-6">
            <Link href="/new" className={buttonLook("main")}>
              New timeline
            </Link>
            <Link href="/join-class" className={`${buttonLook("plain")} ml-2`}>
              Join a class
            </Link>
            <Link href="/classes" className={`${buttonLook("plain")} ml-2`}>
              New class
            </Link>
          </div>
          {cards.length === 0 ? (
            <div className="max-w-[560px] rounded-lg border border-line bg-panel p-5">
              <p>Nothing here yet. A new timeline starts empty: give it a title, then write its events one a line.</p>
              <p className="mt-2">
                To see a finished one first, open one that{" "}
                <Link href="/published" className="font-bold text-verdigris underline">
                  others have published
                </Link>
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
                        <Link
                          href={`/timelines/${card.id}`}
                          className="rounded after:absolute after:inset-0 after:content-['']"
                        >
                          {card.title || "Untitled"}
                        </Link>
                      </h2>
                      <p className="mt-0.5 text-[14px]">
                        {card.events} {card.events === 1 ? "event" : "events"}
                        {card.others.length > 0 ? ` · with ${card.others.join(", ")}` : " · only you"}
                      </p>
                      <StateOf card={card} />
                    </div>
                    <div className="relative z-[1]">
                      <TimelineMenu
                        id={card.id}
                        title={card.title || "Untitled"}
                        owner={card.role === "owner"}
                        me={id}
                      />
                    </div>
                  </div>
                </li>
              ))}
            </ul>
          )}
        </main>
        {classes.length > 0 ? <HomeAside classes={classes} work={work} teaching={teaching} /> : null}
      </div>
    </>
  );
}

function StateOf({ card }: { card: TimelineCard }) {
  const live = card.visibility && !card.takenBackAt;
  const words = !card.visibility
    ? "Draft – only its editors can see this"
    : !live
      ? "Taken back – only its editors can see this"
      : {
          only_me: "Published – only its editors",
          class: "Published – the class",
          link: "Published – anyone with the link",
          everybody: "Published – everybody",
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
  return (
    <>
      <PlainBar>
        <Link href="/sign-in" className={buttonLook("dark")}>
          Sign in
        </Link>
      </PlainBar>
      <main className="mx-auto max-w-[880px] px-5 py-12">
        <h1 className="text-[38px] leading-[1.1] max-sm:text-[29px]">Put what happened in order, and show it</h1>
        <p className="mt-4 max-w-[620px] text-[18px]">
          Write events one a line, with the dates the way you know them – 14 Nov 1872, about 1604, 310 BC. Fastigo draws
          the timeline as you type, keeps every word, and publishes it when you say so.
        </p>
        <div className="mt-6 flex flex-wrap gap-3">
          <Link href="/sign-up" className={buttonLook("sun")}>
            Sign up
          </Link>
          <Link href="/sign-in" className={buttonLook("plain")}>
            Sign in
          </Link>
          <Link href="/join-class" className={buttonLook("plain")}>
            Join a class
          </Link>
        </div>
        <ListOf listed={listed} heading="Published for everybody" />
      </main>
    </>
  );
}
