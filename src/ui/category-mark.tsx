import { PATTERN_OPACITY, TILES } from "@/core/chart/style/patterns";
import { COLOURS, type Colour, type Pattern } from "@/core/timeline/looks";

/** A category as a small roof in its colour and pattern; the key of the chart. */
export function CategoryMark({
  colour,
  pattern,
  width = 24,
}: {
  colour: Colour | null;
  pattern: Pattern;
  width?: number;
}) {
  const id = `mark-${colour ?? "none"}-${pattern}`;
  const tile = pattern === "solid" ? null : TILES[pattern];
  return (
    <svg width={width} height={13} viewBox="0 0 24 13" aria-hidden="true" className="shrink-0">
      {tile ? (
        <defs>
          <pattern id={id} width={tile.size} height={tile.size} patternUnits="userSpaceOnUse">
            {tile.lines.map((l) => (
              <polyline
                key={l.join()}
                points={l.join(" ")}
                fill="none"
                stroke="#fff"
                strokeOpacity={PATTERN_OPACITY + 0.2}
                strokeWidth={tile.width}
              />
            ))}
            {tile.dots.map(([x, y, r]) => (
              <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill="#fff" fillOpacity={PATTERN_OPACITY + 0.3} />
            ))}
          </pattern>
        </defs>
      ) : null}
      <polygon points="4,1 20,1 23.500,12.500 0.500,12.500" fill={colour ? COLOURS[colour] : "#4A6572"} />
      {tile ? <polygon points="4,1 20,1 23.500,12.500 0.500,12.500" fill={`url(#${id})`} /> : null}
    </svg>
  );
}
