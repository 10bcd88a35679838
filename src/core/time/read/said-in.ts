import type { Language } from "../../language/spoken";
import { type DateProblem, offeredReadings } from "../date-problem";
import { USUAL_MANNER, whenLabel } from "../write-when";
import { readWhen } from "./read-when";

/** A date that is offered in place of one that was not understood, as a language writes it; as it is where that says something else. */
export function saidIn(language: Language, text: string): string {
  if (language === "en") return text;
  const read = readWhen(text);
  const said = whenLabel(read, { ...USUAL_MANNER, language });
  return said !== "" && readWhen(said).edtf === read.edtf ? said : text;
}

/** What is offered in place of a date that was not understood, as a language writes it. */
export const offeredIn = (language: Language, problem: DateProblem): string[] =>
  offeredReadings(problem).map((text) => saidIn(language, text));
