import "server-only";
import type { ValidateFunction } from "ajv";
import { maybe, object } from "@/core/text/schema";
import { ajv } from "../http/route";
import type { GivenEvent } from "./own-events";

/** What somebody says of an event of theirs. */
export const readGivenEvent = ajv.compile(
  object({
    when: { type: "string", maxLength: 300 },
    title: { type: "string", maxLength: 300 },
    text: { type: "string", maxLength: 10_000 },
    category: maybe({ type: "string", maxLength: 40 }),
  }),
) as unknown as ValidateFunction<GivenEvent>;
