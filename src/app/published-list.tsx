import { WORDS } from "@/core/words/pages";
import type { ListedTimeline } from "@/server/publishing/listed";

export function ListOf({ listed, heading }: { listed: ListedTimeline[]; heading?: string }) {
  if (listed.length === 0) return null;
  return (
    <section className={heading ? "mt-12" : ""}>
      {heading ? <h2 className="text-[20px]">{heading}</h2> : null}
      <ul className="mt-3 divide-y divide-line border-y border-line">
        {listed.map((t) => (
          <li key={t.address} className="py-2.5">
            <a href={`/t/${t.address}`} className="text-[16px] font-bold text-verdigris underline">
              {t.title || WORDS.untitled}
            </a>
            <span className="ms-3 text-[14px] text-quiet">{WORDS.events2(t.by ? WORDS.by(t.by) : "", t.events)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
