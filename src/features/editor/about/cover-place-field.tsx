"use client";

import { itemsOf } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-about";
import { Field, INPUT } from "@/ui/controls/field";
import { useEditor, useEditorState } from "../store/editor-context";

/** Where the cover stands on the page a timeline begins with. */
export function CoverPlaceField() {
  const { store } = useEditor();
  const place = useEditorState((s) => s.timeline.coverPlace);
  const cover = useEditorState((s) => itemsOf(s.timeline, "timeline", "media").some((i) => i.kind === "picture"));
  if (!cover) return null;
  return (
    <Field label={WORDS.coverPlace} hint={WORDS.coverPlaceHint}>
      {(ids) => (
        <select
          id={ids.id}
          aria-describedby={ids.describedBy}
          className={INPUT}
          value={place}
          onChange={(e) => store.edit([{ kind: "set_timeline", field: "coverPlace", value: e.target.value }])}
        >
          <option value="beside">{WORDS.coverPlaces.beside}</option>
          <option value="above">{WORDS.coverPlaces.above}</option>
        </select>
      )}
    </Field>
  );
}
