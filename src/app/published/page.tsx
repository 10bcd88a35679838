import { WORDS } from "@/core/words/en/pages";
import { listedTimelines } from "@/server/timelines/publish";
import { UserBar } from "../user-bar";
import { ListOf } from "../published-list";

export const metadata = { title: WORDS.publishedForEverybody };

export default async function PublishedPage() {
  const listed = await listedTimelines(200);
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[880px] px-5 pb-12">
        <h1 className="mt-10 text-[26px]">{WORDS.publishedForEverybody}</h1>
        {listed.length === 0 ? <p className="mt-4">{WORDS.nobodyHasPublishedATimeline}</p> : <ListOf listed={listed} />}
      </main>
    </>
  );
}
