import type { BasedOn } from "@/core/timeline/fields";
import { WORDS } from "@/core/words/published-pages";

/** Says which published timeline one was begun with, and leads there; nothing where it was begun anew. */
export function BegunWith({ of, className }: { of: BasedOn | null; className: string }) {
  if (!of) return null;
  return (
    <p className={className}>
      {WORDS.basedOn(of.title || WORDS.untitled, of.byline)}{" "}
      <a href={of.address} target="_blank" rel="noreferrer" className="text-verdigris underline">
        {WORDS.openPage}
      </a>
    </p>
  );
}
