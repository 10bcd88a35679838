import { execFileSync } from "node:child_process";
import { join } from "node:path";
import { school, signUp } from "./actor";
import { type Attack, expectThat, memoryMb, severalAtOnce } from "./attack";

type Schema = {
  type?: string | string[];
  enum?: unknown[];
  const?: unknown;
  anyOf?: Schema[];
  /** As anyOf: each has a kind of its own. */
  byKind?: Schema[];
  properties?: Record<string, Schema>;
  required?: string[];
  items?: Schema;
  minimum?: number;
  maximum?: number;
  minItems?: number;
  pattern?: string;
};

/** Numbers from a seed, the same every time. */
class Chance {
  private s: number;
  constructor(seed: number) {
    this.s = seed;
  }
  below(n: number): number {
    this.s = (this.s * 48_271) % 2_147_483_647;
    return this.s % n;
  }
  of<T>(list: readonly T[]): T {
    return list[this.below(list.length)]!;
  }
}

const TEXTS = [
  "",
  "Ferry",
  "14 Nov 1872",
  "e1",
  "c1",
  "timeline",
  "introduction",
  "3.4",
  "a0",
  "2026-11-25",
  "AAA=",
  "🌉",
  "x".repeat(400),
];
const ODD: unknown[] = [
  null,
  true,
  -1,
  0,
  1e15,
  1e308,
  -0.5,
  "",
  "a\u0000b",
  "\ud800",
  "__proto__",
  "constructor",
  "%00",
  [],
  {},
  [[[[[[]]]]]],
  "x".repeat(5_000),
  { typed: "x" },
  { kind: "moment" },
  9_007_199_254_740_991,
];

/** A value a schema allows, as far as it says. */
function fitting(schema: Schema, c: Chance): unknown {
  if ("const" in schema) return schema.const;
  if (schema.enum) return c.of(schema.enum);
  const oneOf = schema.anyOf ?? schema.byKind;
  if (oneOf) return fitting(c.of(oneOf), c);
  const type = Array.isArray(schema.type) ? c.of(schema.type) : schema.type;
  switch (type) {
    case "object": {
      const value: Record<string, unknown> = {};
      for (const [name, inner] of Object.entries(schema.properties ?? {}))
        if (schema.required?.includes(name) || c.below(2) === 0) value[name] = fitting(inner, c);
      return value;
    }
    case "array":
      return Array.from({ length: (schema.minItems ?? 0) + c.below(4) }, () => fitting(schema.items ?? {}, c));
    case "integer":
    case "number": {
      const least = schema.minimum ?? 0;
      const most = Math.min(schema.maximum ?? 1_000, least + 10 ** c.below(14));
      const n = least + c.below(1_000_000) * ((most - least) / 1_000_000);
      return type === "integer" ? Math.round(n) : n;
    }
    case "boolean":
      return c.below(2) === 0;
    case "null":
      return null;
    default: {
      const fits = schema.pattern ? TEXTS.filter((t) => new RegExp(schema.pattern!).test(t)) : TEXTS;
      return c.of(fits.length > 0 ? fits : TEXTS);
    }
  }
}

/** The value with something in it exchanged for something odd, left out, or put in. */
function beside(value: unknown, c: Chance): unknown {
  if (Array.isArray(value) && value.length > 0 && c.below(3) > 0)
    return value.map((v, i) => (i === c.below(value.length) ? beside(v, c) : v));
  if (value !== null && typeof value === "object" && Object.keys(value).length > 0 && c.below(4) > 0) {
    const names = Object.keys(value);
    const name = c.of(names);
    const copy: Record<string, unknown> = { ...value };
    const how = c.below(5);
    if (how === 0) delete copy[name];
    else if (how === 1) copy[c.of(["__proto__", "extra", "given", "locked", "author"])] = c.of(ODD);
    else copy[name] = beside(copy[name], c);
    return copy;
  }
  return c.of(ODD);
}

/** The schema of every route's body, as the routes themselves have it. */
function schemas(): [method: string, path: string, schema: Schema][] {
  const root = join(import.meta.dirname, "..", "..");
  const out = execFileSync(process.execPath, [join(root, "scripts", "lib", "body-schemas.mjs")], { encoding: "utf8" });
  return JSON.parse(out) as [string, string, Schema][];
}

export const BODIES: Attack[] = [
  {
    name: "bodies by the schema of each route, and beside it",
    async run({ server, full }) {
      const { teacher, klass, assignment, pupil } = await school(server.url);
      const nia = await pupil("Nia");
      const { timeline } = await nia.must<{ timeline: string }>("POST", `/api/assignments/${assignment}/group`);
      const own = await teacher.timeline();
      const stranger = await signUp(server.url, "Stranger");
      const known = schemas();
      expectThat(known.length >= 15, `only ${known.length} schemas`);
      const c = new Chance(7);
      const count = Number(process.env.FUZZ_COUNT ?? (full ? 10_000 : 2_000));
      const before = memoryMb(server.pid());
      const statuses = new Map<number, number>();
      let slowest = 0;
      const one = async (n: number) => {
        const [method, path, schema] = known[n % known.length]!;
        const value = fitting(schema, c);
        const body = c.below(3) === 0 ? value : beside(value, c);
        const who = c.of([teacher, teacher, nia, stranger]);
        const to = path
          .replace("/timelines/[id]", `/timelines/${c.of([timeline, own])}`)
          .replace("/classes/[id]", `/classes/${klass}`)
          .replace("/assignments/[id]", `/assignments/${assignment}`)
          .replaceAll(/\[\w+\]/g, "none");
        // Nobody's password or account is changed by accident: these are asked as nobody who is.
        const asking = /^\/api\/(account|session)/.test(path) && method !== "POST" ? stranger : who;
        if (/^\/api\/(session|account|classes\/join)$/.test(path) || path === "/api/session/code") {
          if (n % 4 !== 0) return; // hashing passwords is slow on purpose
        }
        const begun = performance.now();
        const reply = await asking.ask(method, to, body);
        slowest = Math.max(slowest, performance.now() - begun);
        statuses.set(reply.status, (statuses.get(reply.status) ?? 0) + 1);
        expectThat(
          reply.status < 500 || reply.status === 502,
          `${method} ${to}: ${reply.status} for ${JSON.stringify(body)?.slice(0, 300)}`,
        );
      };
      const tasks = Array.from({ length: count }, (_, n) => () => one(n));
      await severalAtOnce(tasks, 4);
      const grown = memoryMb(server.pid()) - before;
      expectThat(grown < 500, `memory grew by ${grown} MB`);
      expectThat(slowest < 60_000, `an answer took ${slowest} ms`);
      return `${count} bodies, ${known.length} routes: ${[...statuses]
        .sort((a, b) => a[0] - b[0])
        .map(([s, k]) => `${k} × ${s}`)
        .join(", ")}; slowest ${Math.round(slowest)} ms`;
    },
  },
];
