import { WORDS } from "@/core/words/en/pages";
import { NewForm } from "@/features/home/new-form";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../user-bar";

export const metadata = { title: WORDS.newTimeline };

export default async function NewPage() {
  await requirePageUser("/new");
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[480px] px-5 py-10">
        <h1 className="mb-5 text-[26px]">{WORDS.newTimeline}</h1>
        <NewForm />
      </main>
    </>
  );
}
