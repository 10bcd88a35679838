import { WORDS } from "@/core/words/en/pages";
import { isClean } from "@/core/text/clean";
import { SignForm } from "@/features/accounts/sign-form";
import { PlainBar } from "@/ui/plain-bar";

/** Only a path of Fastigo's own may be led to after signing in. */
export function ownPath(to: string | string[] | undefined): string {
  if (typeof to !== "string" || !isClean(to) || /[\t\n\r]/.test(to)) return "/";
  try {
    // As a browser reads it: tabs, backslashes and dots are taken out there, and what then leads away is not followed.
    const url = new URL(to, "http://own.invalid");
    return url.origin === "http://own.invalid" && !url.pathname.startsWith("//")
      ? url.pathname + url.search + url.hash
      : "/";
  } catch {
    return "/";
  }
}

export function SignPage({ mode, to }: { mode: "up" | "in"; to: string }) {
  return (
    <>
      <PlainBar />
      <main className="mx-auto max-w-[400px] px-5 py-10">
        <h1 className="mb-5 text-[26px]">{mode === "up" ? WORDS.signUp : WORDS.signIn}</h1>
        <SignForm mode={mode} to={to} />
      </main>
    </>
  );
}
