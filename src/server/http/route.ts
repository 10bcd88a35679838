import "server-only";
import { WORDS as COMMON } from "@/core/words/common";
import { isClean } from "@/core/text/clean";
import { findUser, type User } from "../accounts/sessions";
import { type Failure, fail, isFailure, Refused, sentenceOf, statusOf } from "./failure";
import { isOwnOrigin } from "./origin";
import { plainPage } from "./plain-page";
import { readJson } from "./read-body";
import type { Shape } from "./shape";

interface Given<Body> {
  request: Request;
  params: Record<string, string>;
  body: Body;
}
type Answer = Response | Failure | Record<string, unknown>;

interface Options<Body> {
  /** The checked shape of a JSON body. */
  body?: Shape<Body>;
  /** The most bytes a JSON body may have. */
  mostBody?: number;
  /** It answers people with a page: when something fails, that is a page too. */
  page?: true;
  /** Other sites send people's browsers here, with something of their own that says who they are. No cookie counts. */
  foreign?: true;
  /** What stands in its query may be as long as an address. */
  longQuery?: true;
}

type Handler = ((
  request: Request,
  context: { params: Promise<Record<string, string | string[] | undefined> | undefined> },
) => Promise<Response>) & {
  /** The JSON schema of its body, for tests that make bodies by it. */
  bodySchema?: unknown;
};

const MOST_BODY = 200_000;
/** No id, address or size in a path is longer. */
const LONGEST_PARAM = 200;
const LONGEST_QUERY = 2_000;

/** A route that needs a signed-in person. Refuses other origins, strangers and unknown shapes before anything runs. */
export function memberRoute<Body = undefined>(
  options: Options<Body>,
  run: (given: Given<Body> & { user: User }) => Promise<Answer>,
): Handler {
  return route<Body, { user: User }>(
    options,
    async (request) => {
      const user = await findUser(request);
      return user ? { user } : fail("sign_in_first");
    },
    run,
  );
}

/** A route that anybody may ask; it decides by itself what to show. */
export function openRoute<Body = undefined>(
  options: Options<Body>,
  run: (given: Given<Body>) => Promise<Answer>,
): Handler {
  return route<Body, object>(options, async () => ({}), run);
}

function route<Body, Who extends object>(
  options: Options<Body>,
  who: (request: Request) => Promise<Failure | Who>,
  run: (given: Given<Body> & Who) => Promise<Answer>,
): Handler {
  const refuse = (f: Failure) => (options.page ? failurePage(f) : failureResponse(f));
  const handler: Handler = async (request, context) => {
    try {
      if (!options.foreign && request.method !== "GET" && request.method !== "HEAD" && !isOwnOrigin(request))
        return refuse(fail("other_origin"));
      const raw = (await context.params) ?? {}; // a route without parameters has none
      const params = Object.fromEntries(
        Object.entries(raw).map(([k, v]) => [k, Array.isArray(v) ? v.join("/") : (v ?? "")]),
      );
      const { searchParams } = new URL(request.url);
      for (const text of [...Object.values(params), ...[...searchParams].flat()])
        if (!isClean(text) || text.length > (options.longQuery ? LONGEST_QUERY : LONGEST_PARAM))
          return refuse(fail("bad_address"));
      const asker = await who(request);
      if (isFailure(asker)) return refuse(asker);
      let body = undefined as Body;
      if (options.body) {
        const read = await readJson(request, options.mostBody ?? MOST_BODY);
        if (isFailure(read)) return refuse(read);
        if (!options.body(read.value))
          return refuse(fail("invalid", process.env.NODE_ENV === "production" ? undefined : options.body.lacks("it")));
        body = read.value;
      }
      const answer = await run({ request, params, body, ...asker });
      if (answer instanceof Response) return answer;
      if (isFailure(answer)) return refuse(answer);
      return Response.json(answer, { headers: { "Cache-Control": "no-store" } });
    } catch (error) {
      if (error instanceof Refused) return refuse(error.failure);
      console.error(error);
      return refuse(fail(faultOf(error)));
    }
  };
  if (options.body) handler.bodySchema = options.body.schema;
  return handler;
}

/**
 * What a fault is to the one who asked. Codes of Node's sockets, and PostgreSQL's (appendix A): classes 08 (connection) and 57P
 * (shutting down), 53300 (too many connections), 55000 (takes no connections); 53100 and 53200 (disk full, out of memory).
 */
function faultOf(error: unknown): "no_database" | "disk_full" | "broken" {
  const code = String((error as { code?: unknown } | null)?.code ?? "");
  if (/^53[12]00/.test(code)) return "disk_full";
  return /^(CONNECT|CONNECTION_|ECONN|ENOTFOUND|EHOST|ETIMEDOUT|08|57P|53300|55000)/.test(code)
    ? "no_database"
    : "broken";
}

export function failureResponse(f: Failure): Response {
  return Response.json(
    { failed: f.failed, sentence: sentenceOf(f) },
    { status: statusOf(f), headers: { "Cache-Control": "no-store" } },
  );
}

function failurePage(f: Failure): Response {
  const status = statusOf(f);
  const title = status === 404 ? COMMON.nothingHere : status >= 500 ? COMMON.notNow : COMMON.didNotWork;
  return plainPage(status, title, sentenceOf(f));
}
