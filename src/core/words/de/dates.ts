import type { DateProblem } from "../../time/date-problem";
import { saidIn } from "../../time/read/said-in";
import { DE } from "../../time/tongues/de";

const KEPT = "Es bleibt, wie du es geschrieben hast.";

export function dateProblemText(p: DateProblem): string {
  switch (p.code) {
    case "not_a_date":
      return `Dieses Datum kann Fastigo nicht lesen. ${KEPT} Versuch es mit 14. Nov. 1872, um 1840, 310 v. Chr. oder 1838 - 1905.`;
    case "no_such_day":
      return `${DE.months[p.month - 1]} ${p.year < 1 ? `${1 - p.year} v. Chr.` : p.year} hatte ${p.days} Tage. ${KEPT} Meinst du ${either(p.readings)}?`;
    case "no_such_month":
      return `Einen Monat ${p.month} gibt es nicht. ${KEPT} Monate gehen von 1 bis 12.`;
    case "two_orders":
      return `Das kann ${either(p.readings)} sein. ${KEPT} Wähle, was gilt, einmal für die ganze Zeitleiste.`;
    case "month_or_range":
      return `Das kann ${either(p.readings)} sein. ${KEPT} Wähle, was gilt.`;
    case "two_digit_year":
      return `Das Jahr braucht alle seine Ziffern. ${KEPT} Meinst du ${either(p.readings)}?`;
    case "year_nought":
      return `Ein Jahr 0 gab es nicht: Auf 1 v. Chr. folgte 1 n. Chr. ${KEPT} Meinst du ${either(p.readings)}?`;
    case "end_before_start":
      return `Das Ende (${saidIn("de", p.end)}) liegt vor dem Anfang (${saidIn("de", p.start)}). ${KEPT} Meinst du ${either(p.readings)}?`;
    case "no_day_for_time":
      return `Eine Uhrzeit braucht ihren Tag: 14. Nov. 1872 22:10, oder ein Tag für alle Zeiten. ${KEPT}`;
    case "no_year":
      return `Nach „${p.part}“ fehlt das Jahr. ${KEPT}`;
    case "no_such_time":
      return `Diese Uhrzeit gibt es nicht. ${KEPT} Stunden gehen von 0 bis 23, Minuten von 0 bis 59.`;
    case "out_of_range":
      return `Das liegt weiter weg als 27.000 Millionen Jahre, wo die Daten von Fastigo enden. ${KEPT} Prüfe die Zahl der Nullen.`;
  }
}

function either(readings: readonly string[]): string {
  const said = readings.map((r) => saidIn("de", r));
  return said.length < 2 ? (said[0] ?? "ein anderes Datum") : `${said.slice(0, -1).join(", ")} oder ${said.at(-1)}`;
}
