"use client";

import { Node } from "@tiptap/core";
import { EditorContent, type NodeViewProps, NodeViewWrapper, ReactNodeViewRenderer, useEditor } from "@tiptap/react";
import { useEditorState } from "@tiptap/react";
import { Bold, Heading1, Image, Italic, Link2, List, ListOrdered, Quote, X } from "lucide-react";
import { createContext, useContext, useRef, useState } from "react";
import { type Block, mediaInText, safeAddress } from "@/core/text/description";
import { blocksOfNodes, nodesOf, type TextNode } from "@/core/text/formatted";
import { WORDS } from "@/core/words/instructions";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { HiddenFile } from "@/ui/controls/hidden-file";
import { Problem } from "@/ui/controls/problem";
import { Tool } from "@/ui/controls/tool";
import { textKit } from "@/ui/text/nodes";
import { type MakerPicture, pictureFrom } from "./maker-picture";

const Pictures = createContext<readonly MakerPicture[]>([]);

/** A picture that stands in the text, by its id. */
const PictureNode = Node.create({
  name: "medium",
  group: "block",
  atom: true,
  draggable: true,
  addAttributes: () => ({
    item: {
      default: null,
      parseHTML: (e: HTMLElement) => e.getAttribute("data-item"),
      renderHTML: (a: Record<string, unknown>) => ({ "data-item": String(a.item) }),
    },
  }),
  parseHTML: () => [{ tag: "figure[data-item]" }],
  renderHTML: ({ HTMLAttributes }) => ["figure", HTMLAttributes],
  addNodeView: () => ReactNodeViewRenderer(PictureView),
});

function PictureView({ node, deleteNode, selected }: NodeViewProps) {
  const picture = useContext(Pictures).find((p) => p.id === node.attrs.item);
  return (
    <NodeViewWrapper
      as="figure"
      data-drag-handle=""
      className={`relative my-2 w-fit rounded-md border ${selected ? "border-2 border-verdigris" : "border-line"}`}
    >
      {picture ? (
        <img
          src={picture.src}
          alt={picture.text}
          width={picture.width}
          height={picture.height}
          className="h-auto max-h-[260px] w-auto max-w-full rounded"
        />
      ) : null}
      <button
        type="button"
        contentEditable={false}
        aria-label={WORDS.takeOut(picture?.text ?? "")}
        className="absolute top-1 end-1 rounded-md border border-edge bg-white p-1 hover:bg-verdigris-wash"
        onClick={() => deleteNode()}
      >
        <X size={13} />
      </button>
    </NodeViewWrapper>
  );
}

/** What is to be done, as a formatted text with links and pictures. `onChange` gets what it is now. */
export default function InstructionsField({
  label,
  blocks,
  pictures,
  onChange,
}: {
  label: string;
  /** What it begins with; later values are its own. */
  blocks: readonly Block[];
  pictures: readonly MakerPicture[];
  onChange: (blocks: Block[], pictures: readonly MakerPicture[]) => void;
}) {
  const file = useRef<HTMLInputElement>(null);
  const known = useRef(pictures);
  known.current = pictures;
  const [linking, setLinking] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const editor = useEditor({
    immediatelyRender: false,
    content: nodesOf(blocks) as never,
    extensions: [...textKit(), PictureNode],
    onUpdate: ({ editor: e }) => onChange(blocksOfNodes(e.getJSON() as TextNode), known.current),
    editorProps: {
      attributes: {
        class: "prose-fastigo min-h-[120px] px-3 py-2 outline-none",
        role: "textbox",
        "aria-multiline": "true",
        "aria-label": label,
        spellcheck: "true",
      },
    },
  });
  const on = useEditorState({
    editor,
    selector: ({ editor: e }) => ({
      bold: e?.isActive("bold") ?? false,
      italic: e?.isActive("italic") ?? false,
      heading: e?.isActive("heading") ?? false,
      list: e?.isActive("bulletList") ?? false,
      numbered: e?.isActive("orderedList") ?? false,
      quote: e?.isActive("blockquote") ?? false,
      link: e?.isActive("link") ?? false,
    }),
  });
  const setLink = () => {
    const href = safeAddress(linking ?? "");
    if (!href) return setProblem(WORDS.noAddress);
    setProblem(null);
    setLinking(null);
    const chain = editor!.chain().focus().extendMarkRange("link");
    if (editor!.state.selection.empty && !on?.link)
      chain.insertContent({ type: "text", text: linking!.trim(), marks: [{ type: "link", attrs: { href } }] }).run();
    else chain.setLink({ href }).run();
  };
  const putPicture = async (chosen: File) => {
    const made = await pictureFrom(chosen);
    setProblem(made ? null : WORDS.noPicture);
    if (!made || !editor) return;
    known.current = [...known.current, made];
    onChange(blocksOfNodes(editor.getJSON() as TextNode), known.current);
    editor
      .chain()
      .focus()
      .insertContent({ type: "medium", attrs: { item: made.id } })
      .run();
  };
  const chain = () => editor?.chain().focus();
  const used = editor ? mediaInText(blocksOfNodes(editor.getJSON() as TextNode)) : [];
  const standing = pictures.filter((p) => used.includes(p.id));
  return (
    <Pictures value={pictures}>
      <div className="text-[13px] text-quiet">{label}</div>
      <div className="rounded-md border border-edge bg-white focus-within:outline-3 focus-within:outline-sun">
        <div
          role="toolbar"
          aria-label={WORDS.formatting}
          className="flex flex-wrap items-center gap-0.5 border-b border-line px-1.5 py-1"
        >
          <Tool label={WORDS.bold} on={on?.bold} run={() => chain()?.toggleBold().run()} icon={<Bold size={16} />} />
          <Tool
            label={WORDS.italic}
            on={on?.italic}
            run={() => chain()?.toggleItalic().run()}
            icon={<Italic size={16} />}
          />
          <Tool
            label={WORDS.heading}
            on={on?.heading}
            run={() => chain()?.toggleHeading({ level: 3 }).run()}
            icon={<Heading1 size={16} />}
          />
          <Tool
            label={WORDS.list}
            on={on?.list}
            run={() => chain()?.toggleBulletList().run()}
            icon={<List size={16} />}
          />
          <Tool
            label={WORDS.numberedList}
            on={on?.numbered}
            run={() => chain()?.toggleOrderedList().run()}
            icon={<ListOrdered size={16} />}
          />
          <Tool
            label={WORDS.quote}
            on={on?.quote}
            run={() => chain()?.toggleBlockquote().run()}
            icon={<Quote size={16} />}
          />
          <Tool
            label={WORDS.link}
            on={on?.link}
            run={() => setLinking(String(editor?.getAttributes("link").href ?? ""))}
            icon={<Link2 size={16} />}
          />
          <Tool label={WORDS.picture} on={false} run={() => file.current?.click()} icon={<Image size={16} />} />
          <HiddenFile
            input={file}
            accept="image/*"
            label={WORDS.choosePicture}
            onChoose={(chosen) => void putPicture(chosen)}
          />
        </div>
        {linking === null ? null : (
          <div className="flex flex-wrap items-center gap-2 border-b border-line bg-panel p-2">
            <input
              aria-label={WORDS.address}
              className={`${INPUT} min-w-48 flex-1`}
              value={linking}
              onChange={(e) => setLinking(e.target.value)}
              onKeyDown={(e) => {
                if (e.nativeEvent.isComposing) return;
                if (e.key === "Enter") {
                  e.preventDefault();
                  setLink();
                }
                if (e.key === "Escape") setLinking(null);
              }}
            />
            <Button size="small" kind="main" onClick={setLink}>
              {WORDS.set}
            </Button>
            {on?.link ? (
              <Button
                size="small"
                onClick={() => {
                  setLinking(null);
                  chain()?.extendMarkRange("link").unsetLink().run();
                }}
              >
                {WORDS.unset}
              </Button>
            ) : null}
            <Button size="small" kind="quiet" onClick={() => setLinking(null)}>
              {WORDS.cancel}
            </Button>
          </div>
        )}
        <EditorContent editor={editor} />
      </div>
      {standing.map((p, i) => (
        <label key={p.id} className="block text-[13px] text-quiet">
          {WORDS.whatIsSeen(i + 1)}
          <input
            className={`${INPUT} mt-0.5`}
            value={p.text}
            maxLength={300}
            placeholder={WORDS.forThose}
            onChange={(e) => {
              const text = e.target.value;
              onChange(
                blocksOfNodes(editor!.getJSON() as TextNode),
                pictures.map((o) => (o.id === p.id ? { ...o, text } : o)),
              );
            }}
          />
        </label>
      ))}
      <Problem text={problem} />
    </Pictures>
  );
}
