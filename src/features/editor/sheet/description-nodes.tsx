"use client";

import { Node } from "@tiptap/core";
import Blockquote from "@tiptap/extension-blockquote";
import { NodeViewContent, type NodeViewProps, NodeViewWrapper, ReactNodeViewRenderer } from "@tiptap/react";
import { X } from "lucide-react";
import { referenceText } from "@/core/sources/cited";
import { WORDS } from "@/core/words/editor-sheet";
import { useEditor, useEditorState } from "../store/editor-context";

/** An entry's id as an attribute of a node: nothing else is let in. */
const idAttribute = (name: string) => ({
  default: null,
  parseHTML: (element: HTMLElement) => {
    const id = element.getAttribute(`data-${name}`);
    return id && /^[A-Za-z0-9_-]{1,40}$/.test(id) ? id : null;
  },
  renderHTML: (attributes: Record<string, unknown>) =>
    attributes[name] ? { [`data-${name}`]: String(attributes[name]) } : {},
});

/** A picture, video or sound of the event, standing in its text. */
export const Medium = Node.create({
  name: "medium",
  group: "block",
  atom: true,
  draggable: true,
  addAttributes: () => ({ item: idAttribute("item") }),
  parseHTML: () => [{ tag: "figure[data-item]" }],
  renderHTML: ({ HTMLAttributes }) => ["figure", HTMLAttributes],
  addNodeView: () => ReactNodeViewRenderer(MediumView),
});

function MediumView({ node, deleteNode, selected }: NodeViewProps) {
  const { store } = useEditor();
  const item = useEditorState((s) => s.timeline.items.get(String(node.attrs.item)));
  const there = item && !item.deleted;
  const name = item?.caption || item?.text || (item?.kind ? WORDS.mediumKinds[item.kind] : "");
  return (
    <NodeViewWrapper
      as="figure"
      data-drag-handle=""
      className={`relative my-2 rounded-md border ${selected ? "border-2 border-verdigris" : "border-line"} bg-panel p-1.5`}
    >
      {there && item.media && item.kind !== "sound" ? (
        <img
          src={`/api/timelines/${store.timelineId}/media/${item.media}/medium`}
          alt={item.text}
          className="max-h-[260px] max-w-full rounded"
          {...(item.width && item.height ? { width: item.width, height: item.height } : {})}
          style={{ width: "auto", height: "auto" }}
        />
      ) : null}
      <figcaption className="text-[13px] text-quiet">{there ? name : WORDS.mediumGone}</figcaption>
      <button
        type="button"
        contentEditable={false}
        aria-label={WORDS.takeOutOfText(name)}
        title={WORDS.takeOutOfText(name)}
        className="absolute top-1 end-1 rounded-md border border-edge bg-white p-1 hover:bg-verdigris-wash"
        onClick={() => deleteNode()}
      >
        <X size={13} />
      </button>
    </NodeViewWrapper>
  );
}

/** A quotation, with the source it is taken from beneath it where one was chosen. */
export const Quotation = Blockquote.extend({
  addAttributes: () => ({ source: idAttribute("source") }),
  addNodeView: () => ReactNodeViewRenderer(QuotationView),
});

function QuotationView({ node }: NodeViewProps) {
  const sources = useEditorState((s) => s.timeline.sources);
  const item = useEditorState((s) => s.timeline.items.get(String(node.attrs.source)));
  const cited = item && !item.deleted ? referenceText(sources, item) : "";
  return (
    <NodeViewWrapper as="blockquote">
      <NodeViewContent />
      {cited ? (
        <footer contentEditable={false} className="mt-0.5 font-sans text-[13px] text-quiet">
          {cited}
        </footer>
      ) : null}
    </NodeViewWrapper>
  );
}
