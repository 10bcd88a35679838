import { MOST_INSTRUCTION_PICTURES, MOST_PICTURE_DATA } from "@/core/classes/instructions";
import { type Block, isId } from "@/core/text/description";
import { paragraphsOf } from "@/core/text/formatted";
import { blocksIn } from "@/core/text/write-description";
import { listOf, recordOf, textOf } from "@/core/text/loose";
import { fitsSchema } from "@/core/text/fits-schema";
import { MOST_REQUIREMENTS, REQUIREMENT_SCHEMA } from "@/core/check/requirement-schema";
import type { Requirement } from "@/core/check/requirements";
import { rubricFrom } from "@/core/classes/rubric";
import type { MakerPicture } from "./maker-picture";
import { type MakerOptions, USUAL_OPTIONS } from "./maker-choices";

/** An assignment as its form holds it. */
export interface AssignmentValues {
  title: string;
  instructions: readonly Block[];
  pictures: readonly MakerPicture[];
  period: string;
  /** Day and time in the zone of the class, as the browser's field for them writes it. */
  due: string;
  total: number;
  requirements: readonly Requirement[];
  given: readonly { title: string; typed: string; locked: boolean }[];
  options: MakerOptions;
}

/** A picture out of a file: its bytes are there, and are looked at by the server. */
function pictureOf(p: Record<string, unknown>): MakerPicture[] {
  const data = textOf(p.data, MOST_PICTURE_DATA);
  if (!isId(p.id) || data === "" || !/^[A-Za-z0-9+/]*={0,2}$/.test(data)) return [];
  const size = (n: unknown) => (typeof n === "number" && n > 0 && n < 10_000 ? Math.round(n) : 100);
  const [width, height] = [size(p.width), size(p.height)];
  return [{ id: p.id, text: textOf(p.text, 300), data, width, height, src: `data:image/webp;base64,${data}` }];
}

/**
 * Reads an assignment out of a file that was taken out here; null where there is none. Whatever is odd in it is left out: the form shows
 * what came, and the server checks what is set.
 */
export function assignmentFrom(file: unknown): AssignmentValues | null {
  const list = (value: unknown) => listOf(value).map(recordOf);
  const outer = recordOf(file);
  if (outer.fastigo !== "assignment" || outer.version !== 1) return null;
  const a = recordOf(outer.assignment);
  const o = recordOf(a.options);
  return {
    title: textOf(a.title, 200),
    // Older files hold plain words.
    instructions: typeof a.instructions === "string" ? paragraphsOf(a.instructions) : blocksIn(a.instructions),
    pictures: list(a.pictures).slice(0, MOST_INSTRUCTION_PICTURES).flatMap(pictureOf),
    period: textOf(a.period, 500),
    due: "",
    total: typeof a.total === "number" && a.total >= 1 && a.total <= 1_000 ? Math.round(a.total) : 20,
    requirements: list(a.requirements)
      .filter((r) => fitsSchema(REQUIREMENT_SCHEMA, r))
      .slice(0, MOST_REQUIREMENTS) as unknown as Requirement[],
    given: list(a.given)
      .slice(0, 100)
      .map((g) => ({ title: textOf(g.title, 300), typed: textOf(g.typed, 500), locked: g.locked === true })),
    options: {
      ...USUAL_OPTIONS,
      lateRule: o.lateRule === "refused" ? "refused" : "accepted",
      grouping: o.grouping === "single" || o.grouping === "teacher" ? o.grouping : "pupils",
      blind: o.blind === true,
      rubric: rubricFrom({ fastigo: "rubric", version: 1, rubric: o.rubric }),
      texts: list(o.texts)
        .slice(0, 12)
        .map((t) => ({ title: textOf(t.title, 200), text: textOf(t.text, 20_000) })),
    },
  };
}
