import { WORDS } from "@/core/words/pages";
import { NewClassForm } from "@/features/classes/class-forms";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../user-bar";

export const generateMetadata = () => ({ title: WORDS.newClass });

export default async function NewClassPage() {
  await requirePageUser("/classes");
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[520px] px-5 py-10">
        <h1 className="mb-5 text-[26px]">{WORDS.newClass}</h1>
        <NewClassForm />
      </main>
    </>
  );
}
