import { WORDS } from "@/core/words/marking";
import type { DeskSubmission } from "./desk-submission";

type Passage = DeskSubmission["close"][number];

/** Wording of a work that is close to other texts, both sides beside each other. What it means is for its teacher to say. */
export function CloseWording({ open }: { open: DeskSubmission }) {
  const titles = new Map(open.events.map((e) => [e.id, e.title || WORDS.untitled]));
  // One passage may stand in several texts: it is shown once, with all of them.
  const passages = new Map<string, Passage[]>();
  for (const c of open.close) {
    const key = `${c.event} ${c.passage}`;
    passages.set(key, [...(passages.get(key) ?? []), c]);
  }
  const where = (c: Passage) =>
    c.kind === "classmate"
      ? WORDS.asIn(c.otherNames, c.otherTitle)
      : c.kind === "quote"
        ? WORDS.asQuoted
        : WORDS.asInText;
  return (
    <section aria-label={WORDS.closeWording} className="mt-4 border-t border-line pt-3 text-[14px]">
      <h3 className="font-sans text-[14px] font-bold">{WORDS.closeWording}</h3>
      <p className="text-[13px] text-quiet">{WORDS.closeHelp}</p>
      <ul className="mt-1 flex flex-col gap-3">
        {[...passages].map(([key, same]) => (
          <li key={key}>
            <p className="font-bold">
              {WORDS.wordsAlike(same[0]!.words)}
              {titles.has(same[0]!.event) ? ` ${WORDS.atEvent(titles.get(same[0]!.event)!)}` : ""}
            </p>
            <div className="grid grid-cols-2 gap-2">
              <q className="border-s-2 border-verdigris ps-2">{same[0]!.passage}</q>
              <div className="flex flex-col gap-1.5">
                {same.map((c, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a list that is only read
                  <div key={i}>
                    <span className="block text-[13px] text-quiet">{where(c)}</span>
                    <q className="block border-s-2 border-edge ps-2">{c.other}</q>
                  </div>
                ))}
              </div>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
