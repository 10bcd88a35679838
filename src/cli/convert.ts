import { writeFile } from "node:fs/promises";
import { extname } from "node:path";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { PAPER } from "@/core/chart/style/house-style";
import { toSvg } from "@/core/chart/draw/to-svg";
import { canonicalJson, timelineFromFrozen } from "@/core/formats/frozen";
import { writeTable } from "@/core/formats/table";
import type { DateOrder } from "@/core/time/read/options";
import { type LayoutOptions, readEvents, Refusal } from "./layout";

/** Reads .csv or .json and writes .svg, .csv or .json. */
export async function convert(
  input: string,
  output: string,
  o: LayoutOptions & { order?: DateOrder; fonts: () => Promise<string> },
): Promise<void> {
  const ending = extname(output).toLowerCase();
  if (![".svg", ".csv", ".json"].includes(ending))
    throw new Refusal(`${output}: a file ending in .svg, .csv or .json can be written.`);
  const frozen = await readEvents(input, o.order);
  let text: string;
  if (ending === ".csv") text = writeTable(frozen);
  else if (ending === ".json") text = `${canonicalJson(frozen)}\n`;
  else {
    const timeline = { ...timelineFromFrozen(frozen), ...(o.scale ? { scale: o.scale } : {}) };
    text = toSvg(
      drawChart(
        timeline,
        { width: o.width, height: o.height },
        {
          upright: o.upright ?? false,
          rows: o.rows && !o.upright ? { folded: new Set<string>() } : undefined,
          closeUps: o.closeUps ?? "auto",
        },
      ),
      {
        pictureUrl: () => null,
        label: frozen.title || "Timeline",
        style: await o.fonts(),
        paper: PAPER,
      },
    );
  }
  try {
    await writeFile(output, text);
  } catch (e) {
    throw new Refusal(`${output} cannot be written: ${(e as NodeJS.ErrnoException).code}.`);
  }
}
