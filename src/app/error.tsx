"use client";

import { WORDS } from "@/core/words/pages";
import { Button } from "@/ui/controls/button";

export default function Broken({ reset }: { reset: () => void }) {
  return (
    <main className="mx-auto max-w-[560px] px-5 py-12">
      <h1 className="text-[26px]">{WORDS.somethingWentWrongHereNot}</h1>
      <p className="mt-3">{WORDS.whatYouTypedIsKept}</p>
      <Button kind="main" className="mt-6" onClick={reset}>
        {WORDS.openItAgain}
      </Button>
    </main>
  );
}
