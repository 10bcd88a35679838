// Which schools' own accounts are trusted: SIGN_ON, a JSON list. `npm start` on this machine alone knows the stand-in that
// `npm run school-demo` serves.
import "server-only";
import { shape } from "../http/shape";

export interface Provider {
  /** What people call it: stands on the button. */
  name: string;
  issuer: string;
  clientId: string;
  clientSecret: string;
  /** Which claim says that somebody teaches, and with which value. */
  teachers?: { claim: string; value: string };
  /** Which claim lists groups, and by which pattern (a regular expression) one is a class: its first part is the class's name. */
  classes?: { claim: string; pattern: string };
  /** The school, by its id or its name: who teaches joins it, and classes made here belong to it. */
  school?: string;
  /** How the secret is sent, where the provider takes but one way: "post" (as usual) or "basic". */
  auth?: "post" | "basic";
  /** Its button is shown only while it answers: a stand-in that may not run. */
  onlyWhileThere?: true;
}

const line = { type: "string", minLength: 1, maxLength: 500 };
const isList = shape<Provider[]>({
  type: "array",
  maxItems: 20,
  items: {
    type: "object",
    properties: {
      name: line,
      issuer: line,
      clientId: line,
      clientSecret: line,
      teachers: {
        type: "object",
        properties: { claim: line, value: line },
        required: ["claim", "value"],
        additionalProperties: false,
      },
      classes: {
        type: "object",
        properties: { claim: line, pattern: line },
        required: ["claim", "pattern"],
        additionalProperties: false,
      },
      school: line,
      auth: { enum: ["post", "basic"] },
      onlyWhileThere: { const: true },
    },
    required: ["name", "issuer", "clientId", "clientSecret"],
    additionalProperties: false,
  },
});

/** Those that are configured; none where nothing is, or it cannot be read, which the log says. */
export function providers(): Provider[] {
  const text = process.env.SIGN_ON ?? "";
  if (text.trim() === "") return [];
  try {
    const read: unknown = JSON.parse(text);
    if (isList(read)) {
      for (const p of read) if (p.classes) new RegExp(p.classes.pattern, "u");
      return read;
    }
  } catch {}
  console.error("SIGN_ON is not a JSON list of providers, so none is known. The README shows how it looks.");
  return [];
}

/** By what a provider is known in the database, and in the address that begins. */
export const keyOf = (p: Pick<Provider, "issuer" | "clientId">) => `${p.issuer} ${p.clientId}`;

export const providerOf = (key: string): Provider | null => providers().find((p) => keyOf(p) === key) ?? null;
