import { Extension, Mark } from "@tiptap/core";
import Link from "@tiptap/extension-link";
import { Plugin } from "@tiptap/pm/state";
import { cleanText, isClean } from "@/core/text/clean";
import { COLOURS, type Colour } from "@/core/text/colours";
import { safeAddress } from "@/core/text/description";

/** A link holds an address and nothing else: how it looks and opens is not for its author to say. */
export const PlainLink = Link.extend({
  addAttributes() {
    return { href: { default: null, parseHTML: (element: HTMLElement) => element.getAttribute("href") } };
  },
  renderHTML({ HTMLAttributes }) {
    const href = safeAddress(HTMLAttributes.href);
    return ["a", href ? { href, rel: "noopener noreferrer nofollow", target: "_blank" } : {}, 0];
  },
});

/** Words in a colour of the house: each is read on white. */
export const ColourOfWords = Mark.create({
  name: "colour",
  addAttributes: () => ({
    name: {
      default: null,
      parseHTML: (element: HTMLElement) => element.dataset.colour ?? null,
    },
  }),
  parseHTML: () => [{ tag: "span[data-colour]" }],
  renderHTML: ({ HTMLAttributes }) => {
    const name = String(HTMLAttributes.name) as Colour;
    return ["span", { "data-colour": name, style: `color:${COLOURS[name] ?? "inherit"}` }, 0];
  },
});

/** Takes control characters out of whatever was typed, pasted or dropped. */
export const CleanText = Extension.create({
  name: "cleanText",
  addProseMirrorPlugins: () => [
    new Plugin({
      appendTransaction: (transactions, _before, state) => {
        if (!transactions.some((t) => t.docChanged)) return null;
        const bad: { from: number; to: number; text: string }[] = [];
        state.doc.descendants((node, at) => {
          if (node.text !== undefined && !isClean(node.text))
            bad.push({ from: at, to: at + node.nodeSize, text: cleanText(node.text) });
        });
        if (bad.length === 0) return null;
        const { tr } = state;
        for (const b of bad.reverse()) tr.insertText(b.text, b.from, b.to);
        return tr;
      },
    }),
  ],
});
