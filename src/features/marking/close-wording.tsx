import { WORDS } from "@/core/words/en/marking";
import type { DeskSubmission } from "./desk-submission";

/** Wording of a work that is close to other texts, both sides beside each other. What it means is for its teacher to say. */
export function CloseWording({ open }: { open: DeskSubmission }) {
  const titles = new Map(open.events.map((e) => [e.id, e.title || WORDS.untitled]));
  return (
    <section aria-label={WORDS.closeWording} className="mt-4 border-t border-line pt-3 text-[14px]">
      <h3 className="font-sans text-[14px] font-bold">{WORDS.closeWording}</h3>
      <p className="text-[13px] text-quiet">{WORDS.closeHelp}</p>
      <ul className="mt-1 flex flex-col gap-3">
        {open.close.map((c, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a list that is only read
          <li key={i}>
            <p className="font-bold">
              {WORDS.wordsAlike(c.words)}
              {titles.has(c.event) ? ` ${WORDS.atEvent(titles.get(c.event)!)}` : ""}
            </p>
            <div className="grid grid-cols-2 gap-2">
              <q className="border-l-2 border-verdigris pl-2">{c.passage}</q>
              <div>
                <span className="block text-[13px] text-quiet">
                  {c.kind === "classmate"
                    ? WORDS.asIn(c.otherNames, c.otherTitle)
                    : c.kind === "quote"
                      ? WORDS.asQuoted
                      : WORDS.asInText}
                </span>
                <q className="border-l-2 border-edge pl-2">{c.other}</q>
              </div>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
