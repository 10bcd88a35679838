import { Extension, Mark } from "@tiptap/core";
import Link from "@tiptap/extension-link";
import { Plugin } from "@tiptap/pm/state";
import StarterKit from "@tiptap/starter-kit";
import { cleanText, isClean } from "@/core/text/clean";
import { COLOURS, type Colour } from "@/core/text/colours";
import { safeAddress } from "@/core/text/description";

/** A link holds an address and nothing else: how it looks and opens is not for its author to say. */
const PlainLink = Link.extend({
  addAttributes() {
    return { href: { default: null, parseHTML: (element: HTMLElement) => element.getAttribute("href") } };
  },
  renderHTML({ HTMLAttributes }) {
    const href = safeAddress(HTMLAttributes.href);
    return ["a", href ? { href, rel: "noopener noreferrer nofollow", target: "_blank" } : {}, 0];
  },
});

/** Words in a colour of the house: each is read on white. */
const ColourOfWords = Mark.create({
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
const CleanText = Extension.create({
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

/** What every formatted text here may hold of the library's usual kit: what is left out has no place in it, or is set beside it. */
const KIT = {
  // A title stands over it: these are the third and fourth level of a page.
  heading: { levels: [3, 4] as (3 | 4)[] },
  code: false,
  codeBlock: false,
  strike: false,
  underline: false,
  horizontalRule: false,
  link: false,
} as const;

/** Links as they are typed or pasted, to web and mail alone. */
const Links = PlainLink.configure({
  openOnClick: false,
  autolink: true,
  defaultProtocol: "https",
  isAllowedUri: (url) => safeAddress(url) !== null,
});

/** The extensions of every formatted text. `more`: what the kit is to leave out besides. */
export const textKit = (more: Parameters<typeof StarterKit.configure>[0] = {}) => [
  StarterKit.configure({ ...KIT, ...more }),
  Links,
  ColourOfWords,
  CleanText,
];
