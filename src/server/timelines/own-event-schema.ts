import "server-only";
import type { ValidateFunction } from "ajv";
import { maybe, object } from "@/core/text/schema";
import { ajv } from "../http/route";
import type { GivenEvent } from "./own-events";

const SAID = object({
  when: { type: "string", maxLength: 300 },
  title: { type: "string", maxLength: 300 },
  text: { type: "string", maxLength: 50_000 },
  category: maybe({ type: "string", maxLength: 40 }),
});

/** What somebody suggests: of an event, or "" for a new one. */
export const readSuggestion = ajv.compile(
  object({
    event: { type: "string", maxLength: 40 },
    was: SAID,
    given: SAID,
    why: { type: "string", maxLength: 1_000 },
  }),
) as unknown as ValidateFunction<{ event: string; was: GivenEvent; given: GivenEvent; why: string }>;

/** What somebody says of an event of theirs. */
export const readGivenEvent = ajv.compile(SAID) as unknown as ValidateFunction<GivenEvent>;
