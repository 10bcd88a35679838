import { isDark } from "@/core/looks/colour";
import { type ChartStyle, HOUSE_STYLE, paintedColour } from "@/core/looks/style";
import { patternTile } from "@/core/chart/draw/tiles";
import { patternOn } from "@/core/chart/style/patterns";
import type { Pattern } from "@/core/timeline/looks";

/** A category as a small roof in its colour and pattern, as the chart of this style has them; the key of the chart. */
export function CategoryMark({
  colour,
  pattern,
  width = 24,
  style = HOUSE_STYLE,
}: {
  colour: string | null;
  pattern: Pattern;
  width?: number;
  style?: ChartStyle;
}) {
  const fill = colour ? paintedColour(style, colour) : style.none;
  const on = patternOn(style, pattern).pattern;
  const inked = on ? patternTile(on) : null;
  const id = `mark-${fill}-${inked?.key ?? "solid"}`.replaceAll(/[^A-Za-z0-9-]/g, "_");
  return (
    <svg width={width} height={13} viewBox="0 0 24 13" aria-hidden="true" className="shrink-0">
      {inked ? (
        <defs>
          <pattern
            id={id}
            width={inked.tile.size}
            height={inked.tile.size}
            patternUnits="userSpaceOnUse"
            patternTransform={`scale(${inked.scale})`}
          >
            {inked.tile.lines.map((l) => (
              <polyline
                key={l.join()}
                points={l.join(" ")}
                fill="none"
                stroke={inked.ink}
                strokeOpacity={Math.min(1, inked.opacity + 0.2)}
                strokeWidth={inked.tile.width}
              />
            ))}
            {inked.tile.dots.map(([x, y, r]) => (
              <circle
                key={`${x} ${y}`}
                cx={x}
                cy={y}
                r={r}
                fill={inked.ink}
                fillOpacity={Math.min(1, inked.opacity + 0.3)}
              />
            ))}
          </pattern>
        </defs>
      ) : null}
      {/* Colours for a dark paper are seen on a piece of it. */}
      {isDark(style.paper) ? <rect width={24} height={13} rx={2} fill={style.paper} /> : null}
      <polygon points="4,1 20,1 23.500,12.500 0.500,12.500" fill={fill} />
      {inked ? <polygon points="4,1 20,1 23.500,12.500 0.500,12.500" fill={`url(#${id})`} /> : null}
    </svg>
  );
}
