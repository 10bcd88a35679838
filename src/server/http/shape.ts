import "server-only";
import { Ajv, type ValidateFunction } from "ajv";

/** What JSON from outside must be like: whether a value is so, and the JSON Schema that says how. */
export interface Shape<T> {
  (value: unknown): value is T;
  schema: object;
  /** What the value that was looked at last lacks, in the words of those who set things up; `name`: what it is called. */
  lacks(name: string): string;
}

/** Left as they are written, checks are made in half the time; they are asked too seldom to win it back. */
const ajv = new Ajv({ allErrors: false, strict: true, allowUnionTypes: true, code: { optimize: false } });

/** One shape of several for records of several kinds. */
interface OfAKind {
  properties: { kind: { const?: string; enum?: string[] }; field?: { const: string } };
}

const made = new WeakMap<object, Map<string, Shape<unknown>>>();
const keyOf = (kind: unknown, field?: unknown) => (typeof field === "string" ? `${kind} ${field}` : String(kind));

/**
 * As `anyOf`, of records that say by their `kind` (and `field`) which shape they have: that one alone is looked at. It is made ready when the
 * first of it comes: the seventy kinds of steps at once take seconds, and whoever works on a server that has just come back would wait for them.
 */
ajv.addKeyword({
  keyword: "byKind",
  schemaType: "array",
  type: "object",
  errors: false,
  compile: (shapes: OfAKind[]) => {
    let known = made.get(shapes);
    if (!known) {
      known = new Map(
        shapes.flatMap((one) => {
          const { kind, field } = one.properties;
          const check = shape(one);
          return (kind.enum ?? [kind.const!]).map((name) => [keyOf(name, field?.const), check] as const);
        }),
      );
      made.set(shapes, known);
    }
    return (record: { kind?: unknown; field?: unknown }) =>
      (known.get(keyOf(record.kind, record.field)) ?? known.get(keyOf(record.kind)))?.(record) ?? false;
  },
});

/** The shape a JSON Schema says; made ready when the first value is looked at. */
export function shape<T>(schema: object): Shape<T> {
  let check: ValidateFunction | undefined;
  const ready = () => (check ??= ajv.compile(schema));
  return Object.assign((value: unknown): value is T => ready()(value), {
    schema,
    lacks: (name: string) => ajv.errorsText(check?.errors, { dataVar: name }),
  });
}

/** The shape of a body made of strings alone. */
export function stringsOf<K extends string>(...names: K[]): Shape<Record<K, string>> {
  return shape({
    type: "object",
    properties: Object.fromEntries(names.map((n) => [n, { type: "string", maxLength: 100_000 }])),
    required: names,
    additionalProperties: false,
  });
}
