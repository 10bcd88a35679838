"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { useRouter } from "next/navigation";
import { WORDS } from "@/core/words/accounts";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { LocalTime } from "@/ui/local-time";
import { Part, Said, Secret, useForm } from "./account-pieces";

export interface LeavingAccount {
  /** ISO 8601; null: nobody has asked for it. */
  deleteAt: string | null;
  goes: string[];
  passes: { title: string; to: string }[];
  submissions: number;
  closes: string[];
}

/** So many titles are named; of more the number is said. */
const MOST_NAMED = 12;

/** What goes with the account and what stays; having it deleted in a week, and changing one's mind. */
export function Leaving({ leaving }: { leaving: LeavingAccount }) {
  const router = useRouter();
  const form = useForm({ password: "" });
  const mind = useForm({});
  return (
    <Part title={WORDS.deleteTheAccount}>
      <ul className="mb-3 list-disc ps-5">
        <li>
          {leaving.goes.length === 0 ? WORDS.nothingGoes : WORDS.goes(leaving.goes.length)}
          {leaving.goes.length > 0 ? ` ${named(leaving.goes.map((t) => t || WORDS.untitled))}` : ""}
        </li>
        {leaving.passes.map((p) => (
          <li key={`${p.title} ${p.to}`}>{WORDS.passes(p.title || WORDS.untitled, p.to)}</li>
        ))}
        {leaving.submissions > 0 ? <li>{WORDS.handedInStays(leaving.submissions)}</li> : null}
        {leaving.closes.length > 0 ? <li>{WORDS.classesClose(leaving.closes.join(", "))}</li> : null}
      </ul>
      {leaving.deleteAt ? (
        <form
          noValidate
          onSubmit={mind.send(
            () => askServer("DELETE", "/api/account/leaving"),
            WORDS.itStays,
            () => router.refresh(),
          )}
        >
          <p className="font-bold text-copper-dark">
            {WORDS.goneOn} <LocalTime at={leaving.deleteAt} />.
          </p>
          <Button type="submit" className="mt-3" disabled={mind.disabled}>
            {WORDS.keepMyAccount}
          </Button>
          <Said outcome={mind.outcome} />
        </form>
      ) : (
        <form
          noValidate
          onSubmit={form.send(
            (v) => askServer("DELETE", "/api/account", v),
            WORDS.goneInAWeek,
            () => {
              form.clear();
              router.refresh();
            },
          )}
        >
          <p>{WORDS.aWeekToChangeYourMind}</p>
          <Secret
            label={WORDS.yourPasswordToDeleteIt}
            value={form.values.password}
            onChange={form.set("password")}
            auto="current-password"
          />
          <Button type="submit" className="mt-3" disabled={form.disabled || form.values.password === ""}>
            {WORDS.deleteMyAccount}
          </Button>
          <Said outcome={form.outcome} />
        </form>
      )}
    </Part>
  );
}

function named(titles: readonly string[]): string {
  const shown = titles.slice(0, MOST_NAMED).map((t) => COMMON.named(t));
  return `${shown.join(", ")}${titles.length > MOST_NAMED ? WORDS.andMore(titles.length - MOST_NAMED) : "."}`;
}
