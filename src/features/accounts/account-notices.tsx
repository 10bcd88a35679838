"use client";

import { WORDS } from "@/core/words/accounts";
import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { LocalTime } from "@/ui/local-time";
import { useReady } from "@/ui/use-ready";

/** What a person is told about their account, until they say they have read it. */
export function AccountNotices({ notices }: { notices: { id: string; text: string; at: string }[] }) {
  const [read, setRead] = useState(false);
  const ready = useReady();
  if (read || notices.length === 0) return null;
  return (
    <section
      aria-label={WORDS.aboutYourAccount}
      className="border-b border-line bg-sun-wash px-[26px] py-3 max-sm:px-4"
    >
      <ul className="flex flex-col gap-1.5">
        {notices.map((n) => (
          <li key={n.id}>
            <span className="text-[14px] text-quiet">
              <LocalTime at={n.at} />
            </span>{" "}
            {n.text}
          </li>
        ))}
      </ul>
      <Button
        size="small"
        className="mt-2"
        disabled={!ready}
        onClick={async () => {
          if ((await askServer("DELETE", "/api/account/notices")).ok) setRead(true);
        }}
      >
        {WORDS.iHaveReadThis}
      </Button>
    </section>
  );
}
