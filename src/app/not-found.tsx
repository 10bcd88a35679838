import Link from "next/link";
import { buttonLook } from "@/ui/controls/button";
import { PlainBar } from "@/ui/plain-bar";

export default function NotFound() {
  return (
    <>
      <PlainBar />
      <main className="mx-auto max-w-[560px] px-5 py-12">
        <h1 className="text-[26px]">There is nothing here that you may see</h1>
        <p className="mt-3">
          The address may be mistyped, or its owner has not shared it with the account you are signed in with. Ask them
          for a link, or sign in as somebody else.
        </p>
        <Link href="/" className={`${buttonLook("main")} mt-6`}>
          Go to the start
        </Link>
      </main>
    </>
  );
}
