import { WORDS } from "@/core/words/calls";
import { SendEventForm } from "@/features/together/send-event-form";
import { findCall } from "@/server/timelines/calls";
import { PlainBar } from "@/ui/plain-bar";

export const generateMetadata = () => ({ title: WORDS.pageTitle, robots: { index: false } });
export const dynamic = "force-dynamic";

/** Where whoever has the link sends an event in: at an exhibition, on a phone, without an account. */
export default async function SendPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const call = await findCall(token);
  return (
    <>
      <PlainBar />
      <main className="mx-auto max-w-[520px] px-5 py-7">
        {call ? (
          <>
            <h1 className="text-[26px]">{WORDS.pageTitle}</h1>
            <p className="mt-2">{WORDS.asks(call.by, call.title || WORDS.untitled)}</p>
            {call.words ? (
              <p className="mt-3 rounded-lg bg-sun-wash px-4 py-3 whitespace-pre-line">{call.words}</p>
            ) : null}
            <SendEventForm token={token} />
          </>
        ) : (
          <>
            <h1 className="text-[26px]">{WORDS.over}</h1>
            <p className="mt-4">{WORDS.overMore}</p>
          </>
        )}
      </main>
    </>
  );
}
