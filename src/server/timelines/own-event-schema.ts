import "server-only";
import { maybe, object } from "@/core/text/schema";
import { shape } from "../http/shape";
import type { GivenEvent } from "./own-events";

const SAID = object({
  when: { type: "string", maxLength: 300 },
  title: { type: "string", maxLength: 300 },
  text: { type: "string", maxLength: 50_000 },
  category: maybe({ type: "string", maxLength: 40 }),
});

/** What somebody suggests: of an event, or "" for a new one. */
export const readSuggestion = shape<{ event: string; was: GivenEvent; given: GivenEvent; why: string }>(
  object({
    event: { type: "string", maxLength: 40 },
    was: SAID,
    given: SAID,
    why: { type: "string", maxLength: 1_000 },
  }),
);

/** What somebody says of an event of theirs. */
export const readGivenEvent = shape<GivenEvent>(SAID);
