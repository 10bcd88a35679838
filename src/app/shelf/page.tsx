import { PageLink } from "@/ui/page-link";
import { language } from "@/core/language/spoken";
import { searchShelf } from "@/core/shelf/search";
import { SHELF } from "@/core/shelf/shelf";
import { WORDS } from "@/core/words/picture-choice";
import { buttonLook } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.shelf });

/** The pictures that ship with Fastigo, for everybody to look at. */
export default async function ShelfPage({ searchParams }: { searchParams: Promise<{ words?: string | string[] }> }) {
  const given = (await searchParams).words;
  const words = typeof given === "string" ? given : "";
  const found = searchShelf(words, language());
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[1240px] px-5 pb-12">
        <h1 className="mt-10 text-[26px]">{WORDS.shelf}</h1>
        <p className="mt-2 max-w-[70ch]">{WORDS.shelfPage(SHELF.length, new Set(SHELF.map((p) => p.subject)).size)}</p>
        <form className="mt-5 flex max-w-[560px] items-end gap-2" action="/shelf">
          <label className="flex-1 text-[13px] text-quiet">
            {WORDS.lookFor}
            <input name="words" type="search" defaultValue={words} placeholder={WORDS.shelfExample} className={INPUT} />
          </label>
          <button type="submit" className={buttonLook("main")}>
            {WORDS.search}
          </button>
          {words ? (
            <PageLink href="/shelf" className={buttonLook("plain")}>
              {WORDS.all}
            </PageLink>
          ) : null}
        </form>
        {found.length === 0 ? <p className="mt-6">{WORDS.none(words)}</p> : null}
        <ul className="mt-6 grid grid-cols-[repeat(auto-fill,minmax(250px,1fr))] gap-5">
          {found.map((p, i) => (
            <li key={p.id} id={p.id} className="scroll-mt-4">
              <img
                src={`/api/pictures/${p.id}`}
                alt={p.says}
                width={480}
                height={320}
                loading={i < 8 ? "eager" : "lazy"}
                className="h-auto w-full rounded-md bg-panel"
              />
              <p className="mt-1.5 font-bold text-ink">{p.title}</p>
              <p className="text-[13px] text-quiet">{p.subject}</p>
            </li>
          ))}
        </ul>
      </main>
    </>
  );
}
