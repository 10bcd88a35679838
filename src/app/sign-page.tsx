import { SignForm } from "@/features/accounts/sign-form";
import { PlainBar } from "@/ui/plain-bar";

/** Only a path of Fastigo's own may be led to after signing in. */
export function ownPath(to: string | string[] | undefined): string {
  return typeof to === "string" && /^\/(?![/\\])/.test(to) ? to : "/";
}

export function SignPage({ mode, to }: { mode: "up" | "in"; to: string }) {
  return (
    <>
      <PlainBar />
      <main className="mx-auto max-w-[400px] px-5 py-10">
        <h1 className="mb-5 text-[26px]">{mode === "up" ? "Sign up" : "Sign in"}</h1>
        <SignForm mode={mode} to={to} />
      </main>
    </>
  );
}
