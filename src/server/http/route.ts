import "server-only";
import { Ajv, type JSONSchemaType, type ValidateFunction } from "ajv";
import { findUser, type User } from "../accounts/sessions";
import { FAILURES, type Failure, fail, isFailure, sentenceOf } from "./failure";
import { isOwnOrigin } from "./origin";

export const ajv = new Ajv({ allErrors: false, strict: true, allowUnionTypes: true });

interface Given<Body> {
  request: Request;
  params: Record<string, string>;
  body: Body;
}
type Answer = Response | Failure | Record<string, unknown>;

interface Options<Body> {
  /** The checked shape of a JSON body. */
  body?: ValidateFunction<Body>;
  /** The most characters a JSON body may have. */
  mostBody?: number;
}

/** A route that needs a signed-in person. Refuses other origins, unknown shapes and strangers before anything runs. */
export function memberRoute<Body = undefined>(
  options: Options<Body>,
  run: (given: Given<Body> & { user: User }) => Promise<Answer>,
) {
  return openRoute<Body>(options, async (given) => {
    const user = await findUser(given.request);
    if (!user) return fail("sign_in_first");
    return run({ ...given, user });
  });
}

/** A route that anybody may ask; it decides by itself what to show. */
export function openRoute<Body = undefined>(options: Options<Body>, run: (given: Given<Body>) => Promise<Answer>) {
  return async (
    request: Request,
    context: { params: Promise<Record<string, string | string[] | undefined> | undefined> },
  ): Promise<Response> => {
    try {
      if (request.method !== "GET" && request.method !== "HEAD" && !isOwnOrigin(request))
        return failureResponse(fail("other_origin"));
      const raw = (await context.params) ?? {}; // a route without parameters has none
      const params = Object.fromEntries(
        Object.entries(raw).map(([k, v]) => [k, Array.isArray(v) ? v.join("/") : (v ?? "")]),
      );
      let body = undefined as Body;
      if (options.body) {
        const read = await readJson(request, options.mostBody ?? 200_000);
        if (isFailure(read)) return failureResponse(read);
        if (!options.body(read.value))
          return failureResponse(
            fail("invalid", process.env.NODE_ENV === "production" ? undefined : JSON.stringify(options.body.errors)),
          );
        body = read.value;
      }
      const answer = await run({ request, params, body });
      if (answer instanceof Response) return answer;
      if (isFailure(answer)) return failureResponse(answer);
      return Response.json(answer, { headers: { "Cache-Control": "no-store" } });
    } catch (error) {
      console.error(error);
      return failureResponse(fail("broken"));
    }
  };
}

export function failureResponse(f: Failure): Response {
  return Response.json(
    { failed: f.failed, sentence: sentenceOf(f) },
    { status: FAILURES[f.failed][0], headers: { "Cache-Control": "no-store" } },
  );
}

async function readJson(request: Request, most: number): Promise<Failure | { value: unknown }> {
  try {
    if (Number(request.headers.get("content-length") ?? 0) > most) return fail("too_large");
    const text = await request.text();
    if (text.length > most) return fail("too_large");
    return { value: JSON.parse(text) };
  } catch {
    return fail("bad_json");
  }
}

/** A schema for a body made of strings alone. */
export function stringsOf<K extends string>(...names: K[]): ValidateFunction<Record<K, string>> {
  const schema = {
    type: "object",
    properties: Object.fromEntries(names.map((n) => [n, { type: "string", maxLength: 100_000 }])),
    required: names,
    additionalProperties: false,
  };
  return ajv.compile(schema as unknown as JSONSchemaType<Record<K, string>>);
}
