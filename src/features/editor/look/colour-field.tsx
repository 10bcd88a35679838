import type { AnyColour } from "@/core/timeline/fields";
import { COLOURS, type Colour } from "@/core/timeline/looks";
import { LOOK_TABLE } from "@/core/looks/looks";
import { WORDS } from "@/core/words/looks";
import { INPUT } from "@/ui/controls/field";
import { useEditorState } from "../store/editor-context";

const OWN = "own";

/** One of the look's colours, or one of one's own; `none`: what stands for neither, where there may be neither. */
export function ColourField<T extends AnyColour | "">({
  label,
  ownLabel,
  value,
  none,
  onChange,
  className = "",
}: {
  label: string;
  ownLabel: string;
  value: T;
  none?: string;
  onChange: (value: AnyColour | T) => void;
  className?: string;
}) {
  const look = useEditorState((s) => s.timeline.look);
  const colours = (LOOK_TABLE[look] ?? LOOK_TABLE.slate).colours;
  const isOwn = value.startsWith("#");
  return (
    <span className={`flex gap-1 ${className}`}>
      <select
        aria-label={label}
        className={`${INPUT} min-w-0`}
        value={isOwn ? OWN : value}
        onChange={(e) => {
          const chosen = e.target.value;
          // A colour of one's own begins as the one there was.
          if (chosen === OWN) onChange(colours[(value || "verdigris") as Colour].toLowerCase() as AnyColour);
          else onChange(chosen as T);
        }}
      >
        {none === undefined ? null : <option value="">{none}</option>}
        {(Object.keys(COLOURS) as Colour[]).map((c) => (
          <option key={c} value={c}>
            {WORDS.colours[c]}
          </option>
        ))}
        <option value={OWN}>{WORDS.ownColour}</option>
      </select>
      {isOwn ? (
        <input
          type="color"
          aria-label={ownLabel}
          className="h-9 w-8 shrink-0 cursor-pointer rounded border border-edge bg-white p-0.5"
          value={value}
          onChange={(e) => onChange(e.target.value as AnyColour)}
        />
      ) : null}
    </span>
  );
}
