"use client";

import { WORDS } from "@/core/words/editor-sheet";
import { WORDS as LOOK } from "@/core/words/looks";
import Collaboration from "@tiptap/extension-collaboration";
import { EditorContent, useEditor as useTiptap, useEditorState as useTiptapState } from "@tiptap/react";
import { ySyncPluginKey } from "@tiptap/y-tiptap";
import TextAlign from "@tiptap/extension-text-align";
import {
  AlignCenter,
  AlignLeft,
  AlignRight,
  Bold,
  Heading1,
  Heading2,
  Image,
  Italic,
  Link2,
  List,
  ListOrdered,
  Maximize2,
  Minimize2,
  Quote,
} from "lucide-react";
import { useEffect, useId, useState } from "react";
import { COLOURS, type Colour } from "@/core/text/colours";
import { isCited, referenceText } from "@/core/sources/cited";
import { FRAGMENT, safeAddress } from "@/core/text/description";
import { classes } from "@/ui/classes";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { isOwnText, itemsOf } from "@/core/timeline/timeline";
import { Tool } from "@/ui/controls/tool";
import { textKit } from "@/ui/text/nodes";
import { useCarets } from "../presence/here";
import { caretOf, Carets, caretsMeta } from "./carets";
import { Medium, Quotation } from "./description-nodes";
import { useEditor, useEditorState } from "../store/editor-context";

/** A caret that moves is looked at so often at most, ms. */
const CARET_MS = 100;

/** The description of an event (or the introduction), written by several people at once. */
export default function DescriptionField({ of, label, words }: { of: string; label: string; words: number }) {
  const { store } = useEditor();
  const language = useEditorState((s) => s.timeline.language);
  const id = useId();
  const [linking, setLinking] = useState<{ text: string; address: string; problem: string | null } | null>(null);
  store.docOf(of).undo.trackedOrigins.add(ySyncPluginKey);
  const tiptap = useTiptap(
    {
      immediatelyRender: false,
      extensions: [
        ...textKit({ undoRedo: false, blockquote: false }),
        Quotation,
        Medium,
        TextAlign.configure({ types: ["heading", "paragraph"], alignments: ["left", "center", "right"] }),
        Collaboration.configure({
          document: store.docOf(of).doc,
          field: FRAGMENT,
          yUndoOptions: { undoManager: store.docOf(of).undo } as never,
        }),
        Carets,
      ],
      editorProps: {
        // What was written before the tab was loaded again is taken back here too.
        handleKeyDown: (_view, e) => {
          if (!(e.ctrlKey || e.metaKey) || e.altKey || !/^[zy]$/i.test(e.key)) return false;
          const way = e.shiftKey || e.key.toLowerCase() === "y" ? "redo" : "undo";
          const { undo } = store.docOf(of);
          const own = way === "undo" ? undo.undoStack : undo.redoStack;
          if (own.length > 0 || !store.isLeftWords(of, way)) return false;
          e.preventDefault();
          if (way === "undo") store.undo();
          else store.redo();
          return true;
        },
        attributes: {
          class: "prose-fastigo min-h-[96px] px-3 py-2 outline-none",
          role: "textbox",
          "aria-multiline": "true",
          "aria-label": label,
          lang: language,
          spellcheck: "true",
        },
      },
    },
    [of, store, language],
  );
  const marks = useTiptapState({
    editor: tiptap,
    selector: ({ editor }) => ({
      bold: editor?.isActive("bold") ?? false,
      italic: editor?.isActive("italic") ?? false,
      bulletList: editor?.isActive("bulletList") ?? false,
      orderedList: editor?.isActive("orderedList") ?? false,
      blockquote: editor?.isActive("blockquote") ?? false,
      link: editor?.isActive("link") ?? false,
      heading: editor?.isActive("heading", { level: 3 }) ?? false,
      small: editor?.isActive("heading", { level: 4 }) ?? false,
      center: editor?.isActive({ textAlign: "center" }) ?? false,
      right: editor?.isActive({ textAlign: "right" }) ?? false,
      colour: String(editor?.getAttributes("colour").name ?? ""),
      quoted: String(editor?.getAttributes("blockquote").source ?? ""),
    }),
  });
  const { carets, write } = useCarets(of);
  useEffect(() => {
    if (!tiptap || tiptap.isDestroyed) return;
    tiptap.view.dispatch(tiptap.state.tr.setMeta(...caretsMeta(carets)).setMeta("addToHistory", false));
  }, [tiptap, carets]);
  useEffect(() => {
    if (!tiptap) return;
    let waiting: ReturnType<typeof setTimeout> | null = null;
    // Once everything that belongs to it is done: what others wrote moves the caret in several steps.
    const say = () => {
      waiting ??= setTimeout(() => {
        waiting = null;
        if (!tiptap.isDestroyed) write(tiptap.isFocused ? caretOf(tiptap.state) : "");
      }, CARET_MS);
    };
    const events = ["transaction", "focus", "blur"] as const;
    for (const e of events) tiptap.on(e, say);
    return () => {
      for (const e of events) tiptap.off(e, say);
      if (waiting) clearTimeout(waiting);
      write("");
    };
  }, [tiptap, write]);
  const [wide, setWide] = useState(false);
  const owner = isOwnText(of) ? "timeline" : of;
  const items = useEditorState((s) => s.timeline.items);
  const sources = useEditorState((s) => s.timeline.sources);
  const media = itemsOf({ items }, owner, "media");
  const cited = itemsOf({ items }, owner, "source").filter((i) => isCited(sources, i));
  const limit = useEditorState((x) => {
    const asked = x.work?.assignment.requirements.find((r) => r.kind === "words");
    return asked && asked.kind === "words" && !isOwnText(of) ? (asked.count ?? null) : null;
  });
  const startLink = () => {
    if (!tiptap) return;
    if (marks?.link) {
      tiptap.chain().focus().extendMarkRange("link").run();
    }
    const { from, to } = tiptap.state.selection;
    setLinking({
      text: tiptap.state.doc.textBetween(from, to),
      address: String(tiptap.getAttributes("link").href ?? ""),
      problem: null,
    });
  };
  const finishLink = () => {
    if (!tiptap || !linking) return;
    const typed = linking.address.trim();
    const href = safeAddress(/^[a-z]+:/i.test(typed) ? typed : typed ? `https://${typed}` : "");
    if (!href) {
      setLinking({
        ...linking,
        problem: WORDS.thisIsNotAWeb,
      });
      return;
    }
    tiptap
      .chain()
      .focus()
      .insertContent({ type: "text", text: linking.text.trim() || typed, marks: [{ type: "link", attrs: { href } }] })
      .unsetMark("link")
      .run();
    setLinking(null);
  };
  return (
    // At full width it lies over the editor; the very same text, so that nothing is lost on the way.
    // biome-ignore lint/a11y/noStaticElementInteractions: Escape leaves the full width, wherever in it one is
    <div
      className={classes(wide && "fixed inset-0 z-40 overflow-y-auto bg-panel px-4 py-3")}
      onKeyDown={(e) => {
        if (wide && e.key === "Escape") {
          e.stopPropagation();
          setWide(false);
        }
      }}
    >
      <div
        className={classes(
          "mb-1 flex items-baseline justify-between gap-3 text-[13px] text-quiet",
          wide && "sticky top-0 z-[1] mx-auto max-w-[860px] bg-panel py-1 text-[15px]",
        )}
      >
        <span>{label}</span>
        <span className={classes(limit !== null && words > limit && "font-bold text-copper-dark")}>
          {words} {words === 1 ? WORDS.word : WORDS.words}
          {limit === null ? "" : WORDS.ofAtMost(limit)}
        </span>
      </div>
      <div
        className={classes(
          "rounded-md border border-edge bg-white focus-within:outline-3 focus-within:outline-sun",
          wide && "wide-text mx-auto max-w-[860px] text-[18px]",
        )}
      >
        <div
          role="toolbar"
          aria-label={WORDS.formatting(label)}
          className={classes(
            "flex flex-wrap items-center gap-0.5 border-b border-line bg-white px-1.5 py-1",
            wide && "sticky top-8 z-[1]",
          )}
        >
          <Tool
            label={WORDS.bold}
            on={marks?.bold}
            run={() => tiptap?.chain().focus().toggleBold().run()}
            icon={<Bold size={16} />}
          />
          <Tool
            label={WORDS.italic}
            on={marks?.italic}
            run={() => tiptap?.chain().focus().toggleItalic().run()}
            icon={<Italic size={16} />}
          />
          <Tool
            label={WORDS.quote}
            on={marks?.blockquote}
            run={() => tiptap?.chain().focus().toggleBlockquote().run()}
            icon={<Quote size={16} />}
          />
          <Tool
            label={WORDS.list}
            on={marks?.bulletList}
            run={() => tiptap?.chain().focus().toggleBulletList().run()}
            icon={<List size={16} />}
          />
          <Tool
            label={WORDS.numberedList}
            on={marks?.orderedList}
            run={() => tiptap?.chain().focus().toggleOrderedList().run()}
            icon={<ListOrdered size={16} />}
          />
          <Tool
            label={WORDS.heading}
            on={marks?.heading}
            run={() => tiptap?.chain().focus().toggleHeading({ level: 3 }).run()}
            icon={<Heading1 size={16} />}
          />
          <Tool
            label={WORDS.smallHeading}
            on={marks?.small}
            run={() => tiptap?.chain().focus().toggleHeading({ level: 4 }).run()}
            icon={<Heading2 size={16} />}
          />
          <Tool
            label={WORDS.alignLeft}
            on={!marks?.center && !marks?.right}
            run={() => tiptap?.chain().focus().unsetTextAlign().run()}
            icon={<AlignLeft size={16} />}
          />
          <Tool
            label={WORDS.alignCentre}
            on={marks?.center}
            run={() => tiptap?.chain().focus().setTextAlign("center").run()}
            icon={<AlignCenter size={16} />}
          />
          <Tool
            label={WORDS.alignRight}
            on={marks?.right}
            run={() => tiptap?.chain().focus().setTextAlign("right").run()}
            icon={<AlignRight size={16} />}
          />
          <select
            aria-label={WORDS.colourOfWords}
            title={WORDS.colourOfWords}
            className="h-7 rounded border border-line bg-white px-1 text-[13px]"
            style={{ color: COLOURS[marks?.colour as Colour] ?? undefined }}
            value={marks?.colour ?? ""}
            onChange={(e) => {
              const chain = tiptap?.chain().focus();
              if (e.target.value === "") chain?.unsetMark("colour").run();
              else chain?.setMark("colour", { name: e.target.value }).run();
            }}
          >
            <option value="">{WORDS.usualColour}</option>
            {(Object.keys(COLOURS) as Colour[]).map((c) => (
              <option key={c} value={c} style={{ color: COLOURS[c] }}>
                {LOOK.colours[c]}
              </option>
            ))}
          </select>
          {media.length > 0 ? (
            <select
              aria-label={WORDS.putInText}
              title={WORDS.putInText}
              className="h-7 max-w-[104px] rounded border border-line bg-white px-1 text-[13px]"
              value=""
              onChange={(e) => {
                if (e.target.value)
                  tiptap
                    ?.chain()
                    .focus()
                    .insertContent({ type: "medium", attrs: { item: e.target.value } })
                    .run();
              }}
            >
              <option value="">{WORDS.putInTextShort}</option>
              {media.map((m, i) => (
                <option key={m.id} value={m.id}>
                  {m.caption || m.text || `${WORDS.mediumKinds[m.kind ?? "picture"]} ${i + 1}`}
                </option>
              ))}
            </select>
          ) : (
            <Tool label={WORDS.noneToPut} on={false} disabled run={() => {}} icon={<Image size={16} />} />
          )}
          {marks?.blockquote && cited.length > 0 ? (
            <select
              aria-label={WORDS.sourceOfQuote}
              title={WORDS.sourceOfQuote}
              className="h-7 max-w-[170px] rounded border border-line bg-white px-1 text-[13px]"
              value={cited.some((c) => c.id === marks.quoted) ? marks.quoted : ""}
              onChange={(e) =>
                tiptap
                  ?.chain()
                  .focus()
                  .updateAttributes("blockquote", { source: e.target.value || null })
                  .run()
              }
            >
              <option value="">{WORDS.noSourceOfQuote}</option>
              {cited.map((c) => (
                <option key={c.id} value={c.id}>
                  {referenceText(sources, c).slice(0, 80)}
                </option>
              ))}
            </select>
          ) : null}
          <Tool label={WORDS.link} on={marks?.link} run={startLink} icon={<Link2 size={16} />} />
          {marks?.link ? (
            <Button
              size="small"
              kind="quiet"
              onClick={() => tiptap?.chain().focus().extendMarkRange("link").unsetLink().run()}
            >
              {WORDS.removeLink}
            </Button>
          ) : null}
          <span className="ms-auto">
            <Tool
              label={wide ? WORDS.backToTheSheet : WORDS.writeAtFullWidth}
              on={wide}
              run={() => {
                setWide(!wide);
                tiptap?.commands.focus();
              }}
              icon={wide ? <Minimize2 size={16} /> : <Maximize2 size={16} />}
            />
          </span>
        </div>
        {linking ? (
          <div className="flex flex-col gap-2 border-b border-line bg-panel p-2.5">
            <label className="text-[13px] text-quiet" htmlFor={`${id}-text`}>
              {WORDS.textOfTheLink}
            </label>
            <input
              id={`${id}-text`}
              className={INPUT}
              value={linking.text}
              onChange={(e) => setLinking({ ...linking, text: e.target.value })}
            />
            <label className="text-[13px] text-quiet" htmlFor={`${id}-address`}>
              {WORDS.webAddress}
            </label>
            <input
              id={`${id}-address`}
              className={INPUT}
              value={linking.address}
              placeholder={WORDS.https}
              onChange={(e) => setLinking({ ...linking, address: e.target.value, problem: null })}
              onKeyDown={(e) => {
                if (e.key === "Enter" && !e.nativeEvent.isComposing) finishLink();
                if (e.key === "Escape") {
                  e.stopPropagation();
                  setLinking(null);
                }
              }}
            />
            {linking.problem ? <p className="text-[13px] font-bold text-copper-dark">{linking.problem}</p> : null}
            <div className="flex gap-2">
              <Button size="small" kind="main" onClick={finishLink}>
                {WORDS.setLink}
              </Button>
              <Button size="small" onClick={() => setLinking(null)}>
                {WORDS.cancel}
              </Button>
            </div>
          </div>
        ) : null}
        <EditorContent editor={tiptap} />
      </div>
    </div>
  );
}
