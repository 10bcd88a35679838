import { listOf, recordOf, textOf } from "@/core/text/loose";
import type { Requirement } from "@/core/check/requirements";
import { rubricFrom } from "@/core/classes/rubric";
import { REQUIREMENT_NAMES } from "@/core/words/en/class-work";
import { type MakerOptions, USUAL_OPTIONS } from "./maker-choices";

/** An assignment as its form holds it. */
export interface AssignmentValues {
  title: string;
  instructions: string;
  period: string;
  /** Day and time in the zone of the class, as the browser's field for them writes it. */
  due: string;
  total: number;
  requirements: readonly Requirement[];
  given: readonly { title: string; typed: string; locked: boolean }[];
  options: MakerOptions;
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
    instructions: textOf(a.instructions, 10_000),
    period: textOf(a.period, 500),
    due: "",
    total: typeof a.total === "number" && a.total >= 1 && a.total <= 1_000 ? Math.round(a.total) : 20,
    requirements: list(a.requirements)
      .filter((r) => typeof r.kind === "string" && r.kind in REQUIREMENT_NAMES)
      .slice(0, 40) as unknown as Requirement[],
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
