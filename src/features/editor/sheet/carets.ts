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

interface Shown {
  carets: readonly Caret[];
  drawn: DecorationSet;
}

const KEY = new PluginKey<Shown>("carets");

/** Shows where others write; stands behind what keeps the text in step with theirs. */
export const Carets = Extension.create({
  name: "carets",
  addProseMirrorPlugins: () => [
    new Plugin<Shown>({
      key: KEY,
      state: {
        init: () => ({ carets: [], drawn: DecorationSet.empty }),
        apply: (tr, was, _, state) => {
          const told = tr.getMeta(KEY) as readonly Caret[] | undefined;
          const carets = told ?? was.carets;
          // What is written here is not in the common text yet: the carets move along until something comes from there.
          const isTheirs = (ySyncPluginKey.getState(state) as Sync | undefined)?.isChangeOrigin === true;
          const drawn = told || isTheirs ? draw(state, carets) : was.drawn.map(tr.mapping, tr.doc);
          return { carets, drawn };
        },
      },
      props: { decorations: (state) => KEY.getState(state)?.drawn },
    }),
  ],
});

const draw = (state: EditorState, carets: readonly Caret[]): DecorationSet =>
  DecorationSet.create(
    state.doc,
    carets.flatMap((c) => {
      const at = placeOf(state, c.at);
      return at === null ? [] : [Decoration.widget(at, () => sign(c), { side: 1, key: `${c.account} ${c.name}` })];
    }),
  );

/** Tells an editor where others write. */
export const caretsMeta = (carets: readonly Caret[]) => [KEY, carets] as const;

interface Sync {
  doc: Parameters<typeof relativePositionToAbsolutePosition>[0];
  type: Parameters<typeof relativePositionToAbsolutePosition>[1];
  isChangeOrigin?: boolean;
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
  // Painted, not written: it is no word of the text.
  line.dataset.name = name;
  line.style.setProperty("--who", colourOf(account));
  return line;
}
