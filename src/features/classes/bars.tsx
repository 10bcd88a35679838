"use client";

import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { useReady } from "@/ui/use-ready";

export interface Series {
  key: string;
  name: string;
}

const COLOURS = ["#0B6E69", "#B4481E", "#7A4E9A", "#2563A8", "#B98A00"];
const PATTERNS = ["", "6 3", "2 3"];
const ROW_PX = 34;
const LEAST_PX = 220;

/** Bars beside each other, upright, or lying where names are long. What they show stands in a table beneath. */
export function Bars({
  data,
  series,
  label,
  lying = false,
}: {
  data: readonly Record<string, string | number>[];
  series: readonly Series[];
  /** What the chart shows, for those who do not see it. */
  label: string;
  lying?: boolean;
}) {
  // It is measured on the page: until that is there its room is kept.
  const ready = useReady();
  const height = lying ? Math.max(LEAST_PX, data.length * ROW_PX * series.length * 0.7 + 60) : LEAST_PX + 40;
  return (
    <div role="img" aria-label={label} style={{ height }} className="w-full">
      {ready ? (
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            data={[...data]}
            layout={lying ? "vertical" : "horizontal"}
            margin={{ top: 8, right: 16, bottom: 8, left: 8 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="#D5DEDC" horizontal={!lying} vertical={lying} />
            {lying ? (
              <>
                <XAxis type="number" allowDecimals={false} stroke="#44606A" fontSize={13} />
                <YAxis type="category" dataKey="name" width={150} stroke="#1F3A41" fontSize={13} interval={0} />
              </>
            ) : (
              <>
                <XAxis dataKey="name" stroke="#1F3A41" fontSize={13} />
                <YAxis allowDecimals={false} stroke="#44606A" fontSize={13} width={36} />
              </>
            )}
            <Tooltip cursor={{ fill: "#EEF4F2" }} contentStyle={{ fontSize: 14 }} />
            {series.length > 1 ? <Legend wrapperStyle={{ fontSize: 14 }} /> : null}
            {series.map((s, i) => (
              <Bar
                key={s.key}
                dataKey={s.key}
                name={s.name}
                fill={COLOURS[i % COLOURS.length]!}
                stroke="#17323A"
                strokeWidth={i === 0 ? 0 : 1}
                strokeDasharray={PATTERNS[i % PATTERNS.length]}
                maxBarSize={48}
                isAnimationActive={false}
              />
            ))}
          </BarChart>
        </ResponsiveContainer>
      ) : null}
    </div>
  );
}

/** The same figures as a table, which everybody can read. */
export function FigureTable({
  head,
  rows,
  summary,
  open = false,
}: {
  head: readonly string[];
  rows: readonly (readonly (string | number)[])[];
  summary: string;
  open?: boolean;
}) {
  return (
    <details open={open} className="mt-2">
      <summary className="min-h-6 w-fit cursor-pointer text-[14px] font-bold text-verdigris underline">
        {summary}
      </summary>
      <div className="mt-1 overflow-x-auto">
        <table className="border-collapse text-[14px]">
          <thead>
            <tr className="border-b border-line text-start text-quiet">
              {head.map((h) => (
                <th key={h} scope="col" className="py-1 pe-4 font-normal">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((r, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a table that is only read
              <tr key={i} className="border-b border-line">
                {r.map((c, k) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a table that is only read
                  <td key={k} className={`py-1 pe-4 ${k === 0 ? "font-bold" : "tabular-nums"}`}>
                    {c}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
