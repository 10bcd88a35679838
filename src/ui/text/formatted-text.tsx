import type { Block, Inline } from "@/core/text/description";
import { COLOURS } from "@/core/text/colours";
import { classes } from "../classes";

/** A picture that stands in a text. */
export interface PictureInText {
  id: string;
  text: string;
  width: number;
  height: number;
  src: string;
}

/** A formatted text to read: only what the core lets in, links that open beside. */
export function FormattedText({
  blocks,
  pictures = [],
  className = "",
}: {
  blocks: readonly Block[];
  pictures?: readonly PictureInText[];
  className?: string;
}) {
  return blocks.length === 0 ? null : (
    <div className={classes("prose-fastigo", className)}>{blocks.map((b, i) => block(b, i, pictures))}</div>
  );
}

function block(b: Block, key: number, pictures: readonly PictureInText[]) {
  switch (b.kind) {
    case "paragraph":
      return <p key={key}>{b.content.map(inline)}</p>;
    case "heading": {
      const Heading = b.level === 1 ? "h3" : "h4";
      return <Heading key={key}>{b.content.map(inline)}</Heading>;
    }
    case "quote":
      return <blockquote key={key}>{b.blocks.map((x, i) => block(x, i, pictures))}</blockquote>;
    case "list": {
      const List = b.ordered ? "ol" : "ul";
      return (
        <List key={key}>
          {b.items.map((item, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a text that is only read
            <li key={i}>{item.map((x, k) => block(x, k, pictures))}</li>
          ))}
        </List>
      );
    }
    case "medium": {
      const picture = pictures.find((p) => p.id === b.item);
      return picture ? (
        <img
          key={key}
          src={picture.src}
          alt={picture.text}
          width={picture.width}
          height={picture.height}
          className="my-2 h-auto max-w-full rounded-md"
        />
      ) : null;
    }
  }
}

function inline(i: Inline, key: number) {
  if (i.kind === "break") return <br key={key} />;
  return i.marks.reduce(
    (inner, m) => {
      if (m.kind === "bold") return <strong key={key}>{inner}</strong>;
      if (m.kind === "italic") return <em key={key}>{inner}</em>;
      if (m.kind === "colour")
        return (
          <span key={key} style={{ color: m.colour && COLOURS[m.colour] }}>
            {inner}
          </span>
        );
      return (
        <a key={key} href={m.address} target="_blank" rel="noopener noreferrer nofollow">
          {inner}
        </a>
      );
    },
    <span key={key}>{i.text}</span>,
  );
}
