import "server-only";
import { nanoid } from "nanoid";
import { type Rubric, rubricProblem } from "@/core/classes/rubric";
import { rubricProblemText } from "@/core/words/setting";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";

const MOST_KEPT = 60;

export interface KeptRubric {
  id: string;
  rubric: Rubric;
}

/** The rubrics a teacher has kept to use again, by name. */
export async function rubricsOf(account: string): Promise<KeptRubric[]> {
  return db()<KeptRubric[]>`
    select id, rubric from rubric where account_id = ${account} order by lower(rubric ->> 'name'), id`;
}

/** Keeps a rubric; one of the same name is that one from now on. */
export async function keepRubric(account: string, rubric: Rubric): Promise<Failure | { id: string }> {
  const wrong = rubricProblem(rubric);
  if (wrong) return fail("assignment_incomplete", rubricProblemText(wrong));
  if (rubric.name.trim() === "") return fail("rubric_name_missing");
  return db().begin(async (tx): Promise<Failure | { id: string }> => {
    const [same] = await tx<{ id: string }[]>`
      update rubric set rubric = ${tx.json(rubric as never)}, at = now()
      where account_id = ${account} and lower(rubric ->> 'name') = ${rubric.name.trim().toLowerCase()} returning id`;
    if (same) return same;
    const [many] = await tx<{ n: number }[]>`select count(*)::int as n from rubric where account_id = ${account}`;
    if (many!.n >= MOST_KEPT) return fail("rubrics_full");
    const id = nanoid(12);
    await tx`insert into rubric (id, account_id, rubric) values (${id}, ${account}, ${tx.json(rubric as never)})`;
    return { id };
  });
}

export async function forgetRubric(account: string, id: string): Promise<Failure | { done: true }> {
  const gone = await db()`delete from rubric where id = ${id} and account_id = ${account} returning id`;
  return gone.length > 0 ? { done: true } : fail("not_found");
}
