"use client";

import { Plus, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { itemsOf } from "@/core/timeline/timeline";
import { Button } from "@/ui/controls/button";
import { useEditor, useEditorState } from "../store/editor-context";
import { placeForNewItem } from "../store/event-deeds";
import { TextField } from "./text-field";

/** The sources of an event, or its links to find out more: any number, each with words and an address. */
export function SourceField({ of, list }: { of: string; list: "source" | "link" }) {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const items = itemsOf(timeline, of, list);
  const set = (id: string, field: "text" | "address") => (value: string) =>
    store.edit([{ kind: "set_item", id, field, value }], `item:${id}:${field}`);
  const one = list === "source" ? "source" : "link";
  return (
    <section aria-label={list === "source" ? "Sources" : "Links to find out more"}>
      <div className="flex flex-col gap-2">
        {items.map((item, i) => (
          <div key={item.id} className="flex items-end gap-2">
            <div className="grid flex-1 grid-cols-2 gap-2">
              <TextField
                label={list === "source" ? `Source${items.length > 1 ? ` ${i + 1}` : ""}` : "Find out more"}
                value={item.text}
                onChange={set(item.id, "text")}
                placeholder={list === "source" ? "Ambrel Post, no. 3914, page 2" : "what it is"}
              />
              <TextField
                label="Its address, if it has one"
                value={item.address}
                onChange={set(item.id, "address")}
                placeholder="https://"
              />
            </div>
            <button
              type="button"
              aria-label={`Remove this ${one}`}
              title="Remove (undo puts it back)"
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
            { kind: "add_item", id: nanoid(10), fields: { of, list, place: placeForNewItem(timeline, of, list) } },
          ])
        }
      >
        <Plus size={15} /> {items.length === 0 ? `Add a ${one}` : `Add another ${one}`}
      </Button>
    </section>
  );
}
