import { Extension } from "@tiptap/core";
import { type EditorState, Plugin, PluginKey } from "@tiptap/pm/state";
import { Decoration, DecorationSet } from "@tiptap/pm/view";
import {
  absolutePositionToRelativePosition,
  relativePositionToAbsolutePosition,
  ySyncPluginKey,
} from "@tiptap/y-tiptap";
import { createRelativePositionFromJSON, decodeRelativePosition, encodeRelativePosition } from "yjs";
import { colourOf } from "@/core/presence/present";
import { fromBase64, toBase64 } from "@/core/text/base64";

/** Where in a text somebody else writes: between the same letters, whatever is written before them meanwhile (base64 of Yjs). */
export interface Caret {
  account: string;
  name: string;
  at: string;
}

const KEY = new PluginKey<readonly Caret[]>("carets");

/** Shows where others write; `showCarets` says where that is. */
export const Carets = Extension.create({
  name: "carets",
  addProseMirrorPlugins: () => [
    new Plugin<readonly Caret[]>({
      key: KEY,
      state: {
        init: () => [],
        apply: (tr, carets) => (tr.getMeta(KEY) as readonly Caret[] | undefined) ?? carets,
      },
      props: {
        decorations: (state) => {
          const shown = (KEY.getState(state) ?? []).flatMap((c) => {
            const at = placeOf(state, c.at);
            return at === null
              ? []
              : [Decoration.widget(at, () => sign(c), { side: 1, key: `${c.account} ${c.name}` })];
          });
          return DecorationSet.create(state.doc, shown);
        },
      },
    }),
  ],
});

/** Tells an editor where others write. */
export const caretsMeta = (carets: readonly Caret[]) => [KEY, carets] as const;

interface Sync {
  doc: Parameters<typeof relativePositionToAbsolutePosition>[0];
  type: Parameters<typeof relativePositionToAbsolutePosition>[1];
  binding: { mapping: Parameters<typeof relativePositionToAbsolutePosition>[3] } | null;
}

/** Where the caret of this editor is, for others; "" while that cannot be said. */
export function caretOf(state: EditorState): string {
  const sync = ySyncPluginKey.getState(state) as Sync | undefined;
  if (!sync?.binding) return "";
  try {
    const at = absolutePositionToRelativePosition(state.selection.head, sync.type, sync.binding.mapping);
    return toBase64(encodeRelativePosition(createRelativePositionFromJSON(at)));
  } catch {
    return "";
  }
}

/** The place in the document as it stands; null where it is none any more, or what was sent is none. */
function placeOf(state: EditorState, at: string): number | null {
  const sync = ySyncPluginKey.getState(state) as Sync | undefined;
  if (!sync?.binding || at === "") return null;
  try {
    const found = relativePositionToAbsolutePosition(
      sync.doc,
      sync.type,
      decodeRelativePosition(fromBase64(at)),
      sync.binding.mapping,
    );
    return found === null ? null : Math.max(0, Math.min(found, state.doc.content.size));
  } catch {
    return null;
  }
}

/** A line in the person's colour, with their name above it; said in words elsewhere. */
function sign({ account, name }: Caret): HTMLElement {
  const line = document.createElement("span");
  line.className = "caret-of";
  line.setAttribute("aria-hidden", "true");
  line.style.borderColor = colourOf(account);
  const label = document.createElement("span");
  label.textContent = name;
  label.style.backgroundColor = colourOf(account);
  line.append(label);
  return line;
}
