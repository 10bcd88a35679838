import { WORDS } from "@/core/words/pages";
import { PageLink } from "@/ui/page-link";
import { buttonLook } from "@/ui/controls/button";
import { PlainBar } from "@/ui/plain-bar";

export default function NotFound() {
  return (
    <>
      <PlainBar />
      <main className="mx-auto max-w-[560px] px-5 py-12">
        <h1 className="text-[26px]">{WORDS.thereIsNothingHereThat}</h1>
        <p className="mt-3">{WORDS.theAddressMayBeMistyped2}</p>
        <PageLink href="/" className={`${buttonLook("main")} mt-6`}>
          {WORDS.goToTheStart}
        </PageLink>
      </main>
    </>
  );
}
