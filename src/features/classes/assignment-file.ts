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
  const record = (value: unknown) =>
    typeof value === "object" && value !== null ? (value as Record<string, unknown>) : {};
  const text = (value: unknown, most: number) => (typeof value === "string" ? value.slice(0, most) : "");
  const list = (value: unknown) => (Array.isArray(value) ? (value as unknown[]).map(record) : []);
  const outer = record(file);
  if (outer.fastigo !== "assignment" || outer.version !== 1) return null;
  const a = record(outer.assignment);
  const o = record(a.options);
  return {
    title: text(a.title, 200),
    instructions: text(a.instructions, 10_000),
    period: text(a.period, 500),
    due: "",
    total: typeof a.total === "number" && a.total >= 1 && a.total <= 1_000 ? Math.round(a.total) : 20,
    requirements: list(a.requirements)
      .filter((r) => typeof r.kind === "string" && r.kind in REQUIREMENT_NAMES)
      .slice(0, 40) as unknown as Requirement[],
    given: list(a.given)
      .slice(0, 100)
      .map((g) => ({ title: text(g.title, 300), typed: text(g.typed, 500), locked: g.locked === true })),
    options: {
      ...USUAL_OPTIONS,
      lateRule: o.lateRule === "refused" ? "refused" : "accepted",
      grouping: o.grouping === "single" || o.grouping === "teacher" ? o.grouping : "pupils",
      blind: o.blind === true,
      rubric: rubricFrom({ fastigo: "rubric", version: 1, rubric: o.rubric }),
      texts: list(o.texts)
        .slice(0, 12)
        .map((t) => ({ title: text(t.title, 200), text: text(t.text, 20_000) })),
    },
  };
}
