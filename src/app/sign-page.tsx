import { School } from "lucide-react";
import type { ReactNode } from "react";
import { WORDS } from "@/core/words/pages";
import { SignForm } from "@/features/accounts/sign-form";
import { waysIn } from "@/server/sign-on/sign-on";
import { buttonLook } from "@/ui/controls/button";
import { PlainBar } from "@/ui/plain-bar";

/** A page of one narrow column, for whoever is not signed in yet. */
export function NarrowPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <>
      <PlainBar />
      <main className="mx-auto max-w-[400px] px-5 py-10">
        <h1 className="mb-5 text-[26px]">{title}</h1>
        {children}
      </main>
    </>
  );
}

export async function SignPage({ mode, to }: { mode: "up" | "in"; to: string }) {
  const ways = await waysIn();
  return (
    <NarrowPage title={mode === "up" ? WORDS.signUp : WORDS.signIn}>
      {ways.length > 0 ? (
        <div className="mb-6 flex flex-col gap-2 border-b border-line pb-6">
          {ways.map((w) => (
            // A route that leads to another site, not a page.
            <a
              key={w.key}
              className={buttonLook("plain")}
              href={`/api/sign-on/begin?${new URLSearchParams({ with: w.key, to })}`}
            >
              <School size={18} /> {WORDS.through(w.name)}
            </a>
          ))}
        </div>
      ) : null}
      <SignForm mode={mode} to={to} />
    </NarrowPage>
  );
}
