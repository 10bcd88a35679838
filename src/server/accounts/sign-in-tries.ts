import "server-only";
import { db } from "../db/pool";

/** So many wrong passwords are free; then the wait doubles from one second up to a minute. */
const FREE_TRIES = 5;
const LONGEST_WAIT = 60;

/** Counts a try; gives how many seconds are left before there may be one, 0 when this one may go on. */
export async function takeTry(name: string): Promise<number> {
  const wait = db()`
    case when sign_in_attempt.failures < ${FREE_TRIES} then 0
      else least(${LONGEST_WAIT}, power(2, least(sign_in_attempt.failures - ${FREE_TRIES}, 10))) end`;
  const taken = await db()`
    insert into sign_in_attempt (name, failures, last_at) values (${name}, 1, now())
    on conflict (name) do update
    set failures = case when sign_in_attempt.last_at < now() - interval '1 hour' then 1 else sign_in_attempt.failures + 1 end,
      last_at = now()
    where extract(epoch from now() - sign_in_attempt.last_at) >= ${wait}
    returning name`;
  if (taken.length > 0) return 0;
  const [row] = await db()<{ left: number }[]>`
    select ceil(${wait} - extract(epoch from now() - last_at))::int as left from sign_in_attempt where name = ${name}`;
  return Math.max(1, row?.left ?? 1);
}
