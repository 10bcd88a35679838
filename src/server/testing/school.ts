import { nanoid } from "nanoid";
import type { Op } from "@/core/change/change";
import type { Rubric } from "@/core/classes/rubric";
import { readWhen } from "@/core/time/read/read-when";
import { UNDATED } from "@/core/time/when";
import { type AssignmentInput, createAssignment } from "../classes/assignment";
import { beginAssignment } from "../classes/begin";
import { createClass, findClass } from "../classes/class";
import { joinAsMe } from "../classes/join-class";
import { isFailure } from "../http/failure";
import { takeChange } from "../timelines/take-change";
import { makePerson } from "./test-database";

/** The right date of the given event that is to be dated. */
export const RIGHT = "17 Aug 1851";

/** A rubric of one criterion: all points, or none. */
export const RUBRIC: Rubric = {
  name: "Crossing",
  criteria: [
    {
      name: "Dates",
      weight: 1,
      levels: [
        { name: "yes", text: "", points: 2 },
        { name: "no", text: "", points: 0 },
      ],
    },
  ],
};

/** The value, or an error that names the failure. */
export function must<T>(value: T): Exclude<T, { failed: string }> {
  if (isFailure(value)) throw new Error(value.failed);
  return value as Exclude<T, { failed: string }>;
}

/** A class with its teacher, three students, and an assignment that the first of them has begun. */
export async function school(dueInSeconds = 3_600, more: Partial<AssignmentInput> = {}) {
  const [teacher, nia, obi, wren] = [
    await makePerson("Ms Ward"),
    await makePerson("Nia"),
    await makePerson("Obi"),
    await makePerson("Wren"),
  ];
  const klass = must(await createClass(teacher.id, "History 8B")).id;
  const code = (await findClass(klass))!.joinCode!;
  for (const student of [nia, obi, wren]) must(await joinAsMe(student.id, code));
  const assignment = must(
    await createAssignment(teacher.id, {
      class: klass,
      title: "Crossing project",
      instructions: "",
      period: UNDATED,
      requirements: [{ kind: "events", count: 3 }],
      given: [
        { title: "The bell is recast", when: readWhen(RIGHT), locked: false },
        { title: "The viaduct opens", when: readWhen("Jul 1889"), locked: true },
      ],
      total: 20,
      dueAt: new Date(Date.now() + dueInSeconds * 1_000).toISOString(),
      ...more,
    }),
  ).id;
  const timeline = must(await beginAssignment(assignment, nia.id)).timeline;
  return { teacher, nia, obi, wren, klass, code, assignment, timeline };
}

/** Takes steps as one change. */
export const edit = (timeline: string, author: string, ...ops: Op[]) =>
  takeChange(timeline, { id: nanoid(), author, base: 0, ops });
