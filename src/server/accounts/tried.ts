import "server-only";
import { db, type Sql } from "../db/pool";

/** A level that rises by one with each try and runs down with time; above `burst` a try is refused. */
interface Rate {
  burst: number;
  /** How much runs down in a second. */
  perSecond: number;
}

/**
 * How often things may be tried. From one address a class of forty at once is nothing; over a whole evening it is slow. In
 * all, the number holds off what comes from very many addresses.
 */
export const RATES = {
  sign_in_from: { burst: 150, perSecond: 1 / 4 },
  sign_in_all: { burst: 3_000, perSecond: 10 },
  sign_up_from: { burst: 80, perSecond: 1 / 30 },
  sign_up_all: { burst: 1_000, perSecond: 1 },
  code_from: { burst: 60, perSecond: 1 / 10 },
  code_all: { burst: 600, perSecond: 1 },
} as const satisfies Record<string, Rate>;

/** Counts a try, and says whether it may be made. One statement, so that tries at the same moment are all counted. */
export async function mayTry(what: keyof typeof RATES, who = "", sql: Sql = db()): Promise<boolean> {
  const { burst, perSecond } = RATES[what];
  const rows = await sql`
    insert into tried (name, level, at) values (${`${what} ${who}`.slice(0, 200)}, 1, now())
    on conflict (name) do update
    set level = greatest(0, tried.level - extract(epoch from now() - tried.at) * ${perSecond}::float8) + 1, at = now()
    where greatest(0, tried.level - extract(epoch from now() - tried.at) * ${perSecond}::float8) + 1 <= ${burst}
    returning name`;
  return rows.length > 0;
}

/** From where a request comes, as the server that took it has found out; what a browser says about it does not count. */
export function addressOf(request: Request): string {
  return request.headers.get("x-fastigo-from") ?? "";
}

/** Counts a try from an address, and in all. */
export async function mayTryFrom(what: "sign_in" | "sign_up" | "code", request: Request): Promise<boolean> {
  return (await mayTry(`${what}_from`, addressOf(request))) && (await mayTry(`${what}_all`));
}
