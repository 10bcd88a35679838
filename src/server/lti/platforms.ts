// Which learning platforms are trusted: LTI_PLATFORMS, a JSON list of what each platform shows its administrator when a tool is registered.
// `npm start` on this machine alone knows the stand-in that `npm run platform-demo` serves.
import "server-only";
import { object } from "@/core/text/schema";
import { shape } from "../http/shape";

export interface Platform {
  /** What people call it. */
  name: string;
  issuer: string;
  clientId: string;
  /** Which of its deployments may launch. */
  deployments: string[];
  /** Where logins are asked for, tokens are given, and its keys stand. */
  auth: string;
  token: string;
  jwks: string;
}

const line = { type: "string", minLength: 1, maxLength: 500 };
const isList = shape<Platform[]>({
  type: "array",
  maxItems: 50,
  items: object({
    name: line,
    issuer: line,
    clientId: line,
    deployments: { type: "array", minItems: 1, maxItems: 50, items: line },
    auth: line,
    token: line,
    jwks: line,
  }),
});

/** The platforms that are configured; none where nothing is, or it cannot be read, which the log says. */
export function platforms(): Platform[] {
  const text = process.env.LTI_PLATFORMS ?? "";
  if (text.trim() === "") return [];
  try {
    const read: unknown = JSON.parse(text);
    if (isList(read)) return read;
  } catch {}
  console.error("LTI_PLATFORMS is not a JSON list of platforms, so none is known. The README shows how it looks.");
  return [];
}

/** By what a platform is known in the database. */
export const keyOf = (p: Pick<Platform, "issuer" | "clientId">) => `${p.issuer} ${p.clientId}`;

export function platformOf(key: string): Platform | null {
  return platforms().find((p) => keyOf(p) === key) ?? null;
}

/** The platform of an issuer; several clients of one issuer are told apart by the client id, which it must name then. */
export function platformBy(issuer: string, clientId: string | null): Platform | null {
  const own = platforms().filter((p) => p.issuer === issuer && (clientId === null || p.clientId === clientId));
  return own.length === 1 ? own[0]! : null;
}
