import { isInstant } from "./instant";
import type { Moment, Reading, When } from "./when";

const fits = (m: Moment | null) => !m || ((!m.from || isInstant(m.from)) && (!m.to || isInstant(m.to)));

/** Whether everything a date says lies in range; what does not is not understood, and nothing computes with it. */
export function readingInRange(r: Reading): boolean {
  if (r.kind === "moment") return fits(r.at);
  return r.kind !== "span" || (fits(r.start) && fits(r.end));
}

/** A date as it may be computed with: one from an old or a foreign file that lies out of range is not understood. */
export function whenInRange(when: When): When {
  if (readingInRange(when.readAs)) return when;
  const { edtf: _, ...rest } = when;
  return { ...rest, readAs: { kind: "not_understood", problem: { code: "out_of_range" } } };
}
