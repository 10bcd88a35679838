"use client";

import { Button } from "@/ui/controls/button";

export default function Broken({ reset }: { reset: () => void }) {
  return (
    <main className="mx-auto max-w-[560px] px-5 py-12">
      <h1 className="text-[26px]">Something went wrong here, not with you</h1>
      <p className="mt-3">What you typed is kept in this browser and is sent when the page is open again.</p>
      <Button kind="main" className="mt-6" onClick={reset}>
        Open it again
      </Button>
    </main>
  );
}
