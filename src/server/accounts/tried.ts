import "server-only";
import { db } from "../db/pool";

/** A level that rises by one with each try and runs down with time; above `burst` a try is refused. */
interface Rate {
  burst: number;
  /** How much runs down in a second. */
  perSecond: number;
}

/**
 * How often things may be tried. From one address a class of forty at once is nothing; over a whole evening it is slow. In
 * all, the number holds off what comes from very many addresses. What succeeds does not count.
 */
export const RATES = {
  sign_in_from: { burst: 150, perSecond: 1 / 4 },
  sign_in_all: { burst: 3_000, perSecond: 10 },
  sign_up_from: { burst: 120, perSecond: 1 / 30 },
  sign_up_all: { burst: 1_000, perSecond: 1 },
  code_from: { burst: 60, perSecond: 1 / 10 },
  code_all: { burst: 600, perSecond: 1 },
  // The password of one published page: a class types it at once, and some of them wrongly.
  page_from: { burst: 40, perSecond: 1 / 15 },
  page_all: { burst: 300, perSecond: 1 / 2 },
  mail_from: { burst: 60, perSecond: 1 / 60 },
  mail_all: { burst: 2_000, perSecond: 1 },
  link_from: { burst: 60, perSecond: 1 / 60 },
  link_all: { burst: 2_000, perSecond: 1 },
  // Letters to one address.
  link_to_from: { burst: 5, perSecond: 1 / 300 },
  link_to_all: { burst: 10, perSecond: 1 / 300 },
  send_from: { burst: 40, perSecond: 1 / 30 },
  send_all: { burst: 1_000, perSecond: 1 },
  report_from: { burst: 10, perSecond: 1 / 120 },
  report_all: { burst: 500, perSecond: 1 / 10 },
} as const satisfies Record<string, Rate>;

type Kind = "sign_in" | "sign_up" | "code" | "page" | "mail" | "link" | "link_to" | "send" | "report";

/** How many times as many as usual: for a house in which very many people come from one address. */
function factor(): number {
  const n = Number(process.env.TRIES_FACTOR ?? 1);
  return n > 0 && n <= 10_000 ? n : 1;
}

/** Counts a try, and says whether it may be made. One statement, so that tries at the same moment are all counted. */
async function count(what: keyof typeof RATES, who: string): Promise<boolean> {
  const burst = RATES[what].burst * factor();
  const perSecond = RATES[what].perSecond * factor();
  const rows = await db()`
    insert into tried (name, level, at) values (${nameOf(what, who)}, 1, now())
    on conflict (name) do update
    set level = greatest(0, tried.level - extract(epoch from now() - tried.at) * ${perSecond}::float8) + 1, at = now()
    where greatest(0, tried.level - extract(epoch from now() - tried.at) * ${perSecond}::float8) + 1 <= ${burst}
    returning name`;
  return rows.length > 0;
}

const nameOf = (what: string, who: string) => `${what} ${who}`.slice(0, 200);

/** From where a request comes, as the server that took it has found out; what a browser says about it does not count. */
function addressOf(request: Request): string {
  return request.headers.get("x-fastigo-from") ?? "";
}

/** Counts a try from an address, and in all; says whether it may be made. `thing`: what is tried, each counted on its own. */
export async function mayTryFrom(what: Kind, request: Request, thing = ""): Promise<boolean> {
  return (await count(`${what}_from`, `${thing} ${addressOf(request)}`.trim())) && (await count(`${what}_all`, thing));
}

/** What was counted has succeeded: a class that signs in is no attack. */
export async function succeeded(what: Kind, request: Request, thing = ""): Promise<void> {
  const names = [nameOf(`${what}_from`, `${thing} ${addressOf(request)}`.trim()), nameOf(`${what}_all`, thing)];
  await db()`update tried set level = greatest(0, level - 1) where name = any(${names})`;
}
