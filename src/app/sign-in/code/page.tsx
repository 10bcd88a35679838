import { WORDS } from "@/core/words/pages";
import { OneTimeCodeForm } from "@/features/classes/class-forms";
import { PlainBar } from "@/ui/plain-bar";

export const generateMetadata = () => ({ title: WORDS.newPassword });

export default function CodePage() {
  return (
    <>
      <PlainBar />
      <main className="mx-auto max-w-[400px] px-5 py-10">
        <h1 className="mb-5 text-[26px]">{WORDS.newPassword}</h1>
        <OneTimeCodeForm />
      </main>
    </>
  );
}
