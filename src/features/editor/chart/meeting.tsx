"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { WORDS } from "@/core/words/editor-chart";
import { Button } from "@/ui/controls/button";
import { useEditor, useEditorState } from "../store/editor-context";

/** Points out two labels that were placed by hand and lie on each other. Both are kept. */
export function Meeting({ pairs }: { pairs: [string, string][] }) {
  const { store, select } = useEditor();
  const events = useEditorState((s) => s.timeline.events);
  const [a, b] = pairs[0]!;
  const name = (id: string) => COMMON.named((events.get(id)?.title ?? "").slice(0, 40));
  const rest = pairs.length - 1;
  return (
    <div
      role="status"
      className="absolute top-1 left-1/2 z-[3] flex max-w-[94%] -translate-x-1/2 flex-wrap items-center gap-2 rounded-md border border-sun bg-sun-wash px-3 py-1 text-[14px]"
    >
      <span>
        {WORDS.theLabelsOfAndPlaced(
          name(a),
          name(b),
          rest > 0 ? WORDS.andMore(rest, rest === 1 ? WORDS.pair : WORDS.pairs) : "",
        )}
      </span>
      <Button size="small" onClick={() => select(a)}>
        {WORDS.show(name(a))}
      </Button>
      <Button size="small" onClick={() => store.edit([{ kind: "set_event", id: a, field: "spot", value: null }])}>
        {WORDS.putBack(name(a))}
      </Button>
    </div>
  );
}
