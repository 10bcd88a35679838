import type { DateProblem } from "../../time/date-problem";
import { saidIn } from "../../time/read/said-in";
import { ES } from "../../time/tongues/es";

const KEPT = "Se conserva como lo escribiste.";

export function dateProblemText(p: DateProblem): string {
  switch (p.code) {
    case "not_a_date":
      return `Esto no es una fecha que Fastigo pueda leer. ${KEPT} Prueba con 14 nov 1872, hacia 1840, 310 a. C. o 1838 - 1905.`;
    case "no_such_day":
      return `${ES.months[p.month - 1]} de ${p.year < 1 ? `${1 - p.year} a. C.` : p.year} tuvo ${p.days} días. ${KEPT} ¿Quieres decir ${either(p.readings)}?`;
    case "no_such_month":
      return `No hay ningún mes ${p.month}. ${KEPT} Los meses van de 1 a 12.`;
    case "two_orders":
      return `Esto puede ser ${either(p.readings)}. ${KEPT} Elige cuál, una vez para toda la línea de tiempo.`;
    case "month_or_range":
      return `Esto puede ser ${either(p.readings)}. ${KEPT} Elige cuál.`;
    case "two_digit_year":
      return `El año necesita todas sus cifras. ${KEPT} ¿Quieres decir ${either(p.readings)}?`;
    case "year_nought":
      return `No hubo año 0: a 1 a. C. le siguió 1 d. C. ${KEPT} ¿Quieres decir ${either(p.readings)}?`;
    case "end_before_start":
      return `El fin (${saidIn("es", p.end)}) viene antes del comienzo (${saidIn("es", p.start)}). ${KEPT} ¿Quieres decir ${either(p.readings)}?`;
    case "no_day_for_time":
      return `Una hora necesita su día: 14 nov 1872 22:10, o un día para todas las horas. ${KEPT}`;
    case "no_year":
      return `Falta el año después de «${p.part}». ${KEPT}`;
    case "no_such_time":
      return `Esa hora no existe. ${KEPT} Las horas van de 0 a 23, los minutos de 0 a 59.`;
    case "out_of_range":
      return `Esto está más lejos que 27.000 millones de años, donde acaban las fechas de Fastigo. ${KEPT} Comprueba el número de ceros.`;
  }
}

function either(readings: readonly string[]): string {
  const said = readings.map((r) => saidIn("es", r));
  return said.length < 2 ? (said[0] ?? "otra fecha") : `${said.slice(0, -1).join(", ")} o ${said.at(-1)}`;
}
