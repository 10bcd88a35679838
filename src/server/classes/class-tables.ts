// What is a class's own in the database, as its archive holds it: which tables, which of their columns, and of what shape each is. Taking
// away and bringing back both follow this list, so that neither knows of anything the other does not.
import { RUBRIC_SCHEMA } from "@/core/classes/rubric";
import { maybe, object } from "@/core/text/schema";
import { WHEN_SCHEMA } from "@/core/time/when-schema";
import { MOST_PICTURE_DATA } from "@/core/classes/instructions";
import { MOST_ROSTER } from "@/core/classes/roster";
import { CLASS_FORMAT, CLASS_NAME } from "@/core/formats/class-archive";
import { REACH } from "@/core/timeline/visibility";
import { REQUIREMENTS_SCHEMA, TEXTS_SCHEMA } from "./assignment-schema";
import { MOST_VOICE } from "./mark-voice";

/** What has an id of its own, which is made anew where it comes back. */
export type Kind = "assignment" | "given" | "group" | "version" | "submission" | "review" | "practice";

export interface Column {
  schema: object;
  /** How it is stored, where not as it stands in the file. */
  as?: "json" | "time" | "bytes";
  /** It is the id of a new thing of that kind; or names one; or a timeline: the work of a group, or one of the teacher's own. */
  makes?: Kind;
  of?: Kind | "work" | "own";
  /** It names a person: a student of the class, or anybody who had to do with it. */
  by?: "student" | "anybody";
}

export interface ClassTable {
  columns: Record<string, Column>;
  /** How its rows are found: those whose column is one of these, of what was found before; or of the class itself. */
  found: { column: string; among: Kind | "class" | "work" };
}

const text = (maxLength: number, minLength = 0): Column => ({ schema: { type: "string", minLength, maxLength } });
const whole = (minimum: number, maximum: number): Column => ({ schema: { type: "integer", minimum, maximum } });
const real = (minimum: number, maximum: number): Column => ({ schema: { type: "number", minimum, maximum } });
const flag: Column = { schema: { type: "boolean" } };
const one = (...names: string[]): Column => ({ schema: { enum: names } });
const json = (schema: object): Column => ({ schema, as: "json" });
const TIME = { type: "string", maxLength: 40, pattern: String.raw`^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$` };
const time: Column = { schema: TIME, as: "time" };
const bytes = (most: number): Column => ({
  schema: { type: "string", maxLength: Math.ceil(most / 3) * 4, pattern: "^[A-Za-z0-9+/]*={0,2}$" },
  as: "bytes",
});
const orNull = (c: Column): Column => ({ ...c, schema: maybe(c.schema) });
const ID = { type: "string", minLength: 1, maxLength: 60 };
const own = (makes: Kind): Column => ({ schema: ID, makes });
const of = (what: NonNullable<Column["of"]>): Column => ({ schema: ID, of: what });
const by = (who: NonNullable<Column["by"]>): Column => ({ schema: ID, by: who });

const LEVELS = json({ type: "array", maxItems: 12, items: maybe({ type: "integer", minimum: 0, maximum: 7 }) });
const POINTS = real(0, 100_000);
const RESULTS = ["right", "less_exact", "wrong", "no_date"];
const MOST_LIST = 20_000;

const requirement = REQUIREMENTS_SCHEMA.items;
/** What stands beside a frozen version in what was handed in; see SubmissionContent. */
export const CONTENT_SCHEMA = {
  ...object(
    {
      title: { type: "string", maxLength: 300 },
      requirements: REQUIREMENTS_SCHEMA,
      checks: {
        type: "array",
        maxItems: 60,
        items: object(
          {
            requirement,
            met: { type: "boolean" },
            have: { type: "number" },
            need: { type: "number" },
            events: { type: "array", maxItems: MOST_LIST, items: ID },
            missing: { type: "string", maxLength: 5_000 },
            lacks: {
              type: "array",
              maxItems: 60,
              items: {
                type: "array",
                minItems: 1,
                maxItems: 6,
                items: {
                  anyOf: [
                    { type: ["string", "number", "boolean"] },
                    { type: "array", maxItems: 200, items: { type: ["string", "number"] } },
                  ],
                },
              },
            },
          },
          ["lacks"],
        ),
      },
      given: {
        type: "array",
        maxItems: 200,
        items: object({
          event: maybe(ID),
          title: { type: "string", maxLength: 300 },
          locked: { type: "boolean" },
          right: WHEN_SCHEMA,
          answer: WHEN_SCHEMA,
          result: { enum: RESULTS },
        }),
      },
      total: { type: "integer", minimum: 1, maximum: 1_000 },
      rubric: RUBRIC_SCHEMA,
    },
    ["rubric"],
  ),
  additionalProperties: true,
};

const SUBMISSIONS = { column: "submissionId", among: "submission" } as const;
const ASSIGNMENTS = { column: "assignmentId", among: "assignment" } as const;

/** In an order in which each table stands after those it refers to. */
export const CLASS_TABLES = {
  assignment: {
    found: { column: "classId", among: "class" },
    columns: {
      id: own("assignment"),
      title: text(200, 1),
      instructions: json({ type: "array", maxItems: 1_000, items: { type: "object" } }),
      period: json(WHEN_SCHEMA),
      requirements: json(REQUIREMENTS_SCHEMA),
      total: whole(1, 1_000),
      dueAt: time,
      createdAt: time,
      lateRule: one("accepted", "refused"),
      grouping: one("pupils", "single", "teacher"),
      blind: flag,
      rubric: orNull(json(RUBRIC_SCHEMA)),
      texts: json(TEXTS_SCHEMA),
      model: orNull(of("own")),
      modelShown: one("never", "before", "after"),
      returnAt: orNull(time),
      worksShown: one("chosen", "handed_in", "due"),
    },
  },
  assignmentPicture: {
    found: ASSIGNMENTS,
    columns: {
      assignmentId: of("assignment"),
      id: { schema: { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" } },
      text: text(300),
      bytes: bytes(MOST_PICTURE_DATA),
      width: whole(1, 20_000),
      height: whole(1, 20_000),
    },
  },
  givenEvent: {
    found: ASSIGNMENTS,
    columns: {
      id: own("given"),
      assignmentId: of("assignment"),
      place: whole(0, 1_000),
      title: text(300, 1),
      rightWhen: json(WHEN_SCHEMA),
      locked: flag,
    },
  },
  extension: {
    found: ASSIGNMENTS,
    columns: { assignmentId: of("assignment"), accountId: by("student"), dueAt: time },
  },
  groupWork: {
    found: ASSIGNMENTS,
    columns: { id: own("group"), assignmentId: of("assignment"), timelineId: of("work"), createdAt: time },
  },
  groupMember: {
    found: ASSIGNMENTS,
    columns: { assignmentId: of("assignment"), accountId: by("student"), groupId: of("group") },
  },
  version: {
    found: { column: "timelineId", among: "work" },
    columns: {
      id: own("version"),
      timelineId: of("work"),
      number: whole(1, 1_000_000),
      seq: whole(0, 1_000_000_000),
      format: whole(1, 1_000),
      json: text(30_000_000, 2),
      hash: { schema: { type: "string", pattern: "^[0-9a-f]{64}$" } },
      createdBy: by("anybody"),
      createdAt: time,
    },
  },
  submission: {
    found: { column: "groupId", among: "group" },
    columns: {
      id: own("submission"),
      groupId: of("group"),
      versionId: of("version"),
      submittedBy: by("anybody"),
      submittedAt: time,
      dueAt: time,
      content: text(5_000_000, 2),
      hash: { schema: { type: "string", pattern: "^[0-9a-f]{64}$" } },
      takenBackAt: orNull(time),
      members: { schema: { type: "array", maxItems: 100, items: { type: "string", maxLength: 80 } } },
      // May stand before the one it names.
      replacedBy: orNull({ schema: ID }),
    },
  },
  mark: {
    found: SUBMISSIONS,
    columns: {
      submissionId: of("submission"),
      points: orNull(POINTS),
      comment: text(10_000),
      returnedAt: orNull(time),
      toImprove: flag,
      levels: LEVELS,
      version: whole(0, 1_000_000),
      byId: orNull(by("anybody")),
      at: time,
      holdUntil: orNull(time),
    },
  },
  markBefore: {
    found: SUBMISSIONS,
    columns: {
      submissionId: of("submission"),
      n: whole(0, 1_000_000),
      points: orNull(POINTS),
      levels: LEVELS,
      comment: text(10_000),
      byId: orNull(by("anybody")),
      at: time,
      reason: text(500),
    },
  },
  givenMark: {
    found: SUBMISSIONS,
    columns: {
      submissionId: of("submission"),
      n: whole(0, 1_000),
      result: one(...RESULTS),
      reason: text(500, 1),
    },
  },
  markReply: {
    found: SUBMISSIONS,
    columns: {
      submissionId: of("submission"),
      accountId: orNull(by("anybody")),
      byTeacher: flag,
      text: text(2_000, 1),
      at: time,
    },
  },
  markVoice: {
    found: SUBMISSIONS,
    columns: {
      submissionId: of("submission"),
      bytes: bytes(MOST_VOICE),
      type: text(60, 1),
      seconds: real(0, 600),
      spoken: text(4_000),
      byId: orNull(by("anybody")),
      at: time,
    },
  },
  eventComment: {
    found: SUBMISSIONS,
    columns: { submissionId: of("submission"), eventId: { schema: ID }, text: text(10_000) },
  },
  secondMark: {
    found: SUBMISSIONS,
    columns: {
      submissionId: of("submission"),
      accountId: by("anybody"),
      points: POINTS,
      levels: LEVELS,
      comment: text(4_000),
      at: time,
    },
  },
  moderation: { found: SUBMISSIONS, columns: { submissionId: of("submission"), at: time } },
  peerReview: {
    found: ASSIGNMENTS,
    columns: {
      id: own("review"),
      assignmentId: of("assignment"),
      submissionId: of("submission"),
      accountId: by("student"),
      blind: flag,
      levels: LEVELS,
      comment: text(4_000),
      doneAt: orNull(time),
    },
  },
  gallery: {
    found: ASSIGNMENTS,
    columns: { assignmentId: of("assignment"), submissionId: of("submission"), place: whole(0, 10_000) },
  },
  question: {
    found: { column: "timelineId", among: "work" },
    columns: {
      timelineId: of("work"),
      eventId: { schema: { type: "string", maxLength: 60 } },
      accountId: orNull(by("anybody")),
      text: text(2_000, 1),
      at: time,
      answer: text(2_000),
      answeredBy: orNull(by("anybody")),
      answeredAt: orNull(time),
    },
  },
  setAside: {
    found: { column: "timelineId", among: "work" },
    columns: {
      timelineId: of("work"),
      finding: text(500, 1),
      reason: text(500, 1),
      accountId: orNull(by("anybody")),
      at: time,
    },
  },
  practice: {
    found: { column: "classId", among: "class" },
    columns: {
      id: own("practice"),
      timelineId: orNull(of("own")),
      title: text(300),
      cards: json({
        type: "array",
        maxItems: 500,
        items: object({
          id: ID,
          title: { type: "string", maxLength: 300 },
          date: { type: "string", maxLength: 300 },
          from: { type: "number" },
          to: { type: "number" },
        }),
      }),
      createdAt: time,
      dueAt: orNull(time),
    },
  },
  practiceResult: {
    found: { column: "practiceId", among: "practice" },
    columns: {
      practiceId: of("practice"),
      accountId: by("student"),
      placed: json({ type: "array", maxItems: 500, items: { type: "string", maxLength: 60 } }),
      rightCount: whole(0, 1_000),
      share: real(0, 1),
      at: time,
    },
  },
} satisfies Record<string, ClassTable>;

export type ClassTableName = keyof typeof CLASS_TABLES;
export const TABLE_NAMES = Object.keys(CLASS_TABLES) as ClassTableName[];

const rowsSchema = (table: ClassTable) => ({
  type: "array",
  maxItems: MOST_LIST,
  items: object(Object.fromEntries(Object.entries(table.columns).map(([name, c]) => [name, c.schema]))),
});

/** `classes/N/class.json` (core/formats/class-archive). */
export const CLASS_SCHEMA = object({
  fastigo: { const: CLASS_NAME },
  format: { const: CLASS_FORMAT },
  name: { type: "string", minLength: 1, maxLength: 80 },
  zone: { type: "string", maxLength: 60 },
  publishLimit: { enum: REACH },
  retentionMonths: { type: "integer", minimum: 1, maximum: 120 },
  outsidePlayers: { type: "boolean" },
  recording: { type: "boolean" },
  notice: { type: "string", maxLength: 5_000 },
  bylines: { enum: ["free", "no_names"] },
  createdAt: TIME,
  archivedAt: maybe(TIME),
  teacher: ID,
  people: { type: "array", maxItems: MOST_LIST, items: object({ id: ID, name: { type: "string", maxLength: 80 } }) },
  members: {
    type: "array",
    maxItems: MOST_ROSTER,
    items: object({
      id: ID,
      note: { type: "string", maxLength: 40 },
      rosterId: { type: "string", maxLength: 200 },
      joinedAt: TIME,
    }),
  },
  works: {
    type: "array",
    maxItems: MOST_LIST,
    items: object({ timeline: ID, seq: { type: "integer", minimum: 0, maximum: 1_000_000_000 } }),
  },
  given: { type: "array", maxItems: MOST_LIST, items: object({ timeline: ID, event: ID, given: ID }) },
  // A table that is missing had no rows, or was none yet.
  rows: object(Object.fromEntries(TABLE_NAMES.map((name) => [name, rowsSchema(CLASS_TABLES[name])])), TABLE_NAMES),
});
