"use client";

import { WORDS } from "@/core/words/editor-sheet";
import { Plus, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { itemsOf } from "@/core/timeline/timeline";
import { Button } from "@/ui/controls/button";
import { useEditor, useEditorState } from "../store/editor-context";
import { placeForNewItem } from "../store/event-deeds";
import { TextField } from "./text-field";

/** The links of an event to find out more: any number, each with words and an address. */
export function LinkField({ of }: { of: string }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const items = itemsOf(timeline, of, "link");
  const set = (id: string, field: "text" | "address") => (value: string) =>
    store.edit([{ kind: "set_item", id, field, value }], `item:${id}:${field}`);
  return (
    <section aria-label={WORDS.linksToFindOutMore}>
      <div className="flex flex-col gap-2">
        {items.map((item) => (
          <div key={item.id} className="flex items-end gap-2">
            <div className="grid flex-1 grid-cols-2 gap-2">
              <TextField
                label={WORDS.findOutMore}
                value={item.text}
                onChange={set(item.id, "text")}
                placeholder={WORDS.whatItIs}
              />
              <TextField
                label={WORDS.itsAddressIfItHas}
                value={item.address}
                onChange={set(item.id, "address")}
                placeholder={WORDS.https}
              />
            </div>
            <button
              type="button"
              aria-label={WORDS.removeThisLink}
              title={WORDS.removeUndoPutsItBack}
              className="mb-1 rounded-md p-1.5 hover:bg-verdigris-wash"
              onClick={() => store.edit([{ kind: "delete_item", id: item.id }])}
            >
              <Trash2 size={16} />
            </button>
          </div>
        ))}
      </div>
      <Button
        size="small"
        kind="quiet"
        className="mt-1"
        onClick={() =>
          store.edit([
            {
              kind: "add_item",
              id: nanoid(10),
              fields: { of, list: "link", place: placeForNewItem(timeline, of, "link") },
            },
          ])
        }
      >
        <Plus size={15} /> {items.length === 0 ? WORDS.addALink : WORDS.addAnotherLink}
      </Button>
    </section>
  );
}
