import { wordsFor } from "../../time/gap";
import { whenLabel } from "../../time/write-when";
import type { Problem } from "../../timeline/problems";
import { mannerOf } from "../../timeline/read-options";
import type { Timeline } from "../../timeline/timeline";
import { dateProblemText } from "./dates";

export function problemText(p: Problem, t: Timeline): string {
  switch (p.code) {
    case "date_not_understood":
      return dateProblemText(p.problem);
    case "time_without_day":
      return `«${p.typed}» es una hora sin día, y otros eventos de aquí tienen fecha; por eso está al final. Elige el día al que pertenecen todas las horas sueltas, o escribe el día delante de la hora.`;
    case "other_order":
      return `«${p.typed}» solo se puede leer con el ${p.order === "dmy" ? "mes" : "día"} primero, y en esta línea de tiempo va primero el ${p.order === "dmy" ? "día" : "mes"}. Cuenta como ${p.words}. Si es lo que quieres decir, escribe el nombre del mes; si no, corrige los números.`;
    case "outside_period":
      return `Queda ${p.side === "before" ? "antes" : "después"} del periodo de la línea de tiempo (${whenLabel(t.period, mannerOf(t))}). Aun así se muestra; pon otro periodo, u otra fecha, si no es lo que quieres decir.`;
    case "part_outside_whole": {
      const whole = `«${t.events.get(p.whole)?.title || "Sin título"}»`;
      const early = p.early > 0 ? `empieza ${wordsFor(p.early)} antes` : "";
      const late = p.late > 0 ? `acaba ${wordsFor(p.late)} después` : "";
      return `${[early, late]
        .filter(Boolean)
        .join(" y ")
        .replace(/^./, (c) => c.toUpperCase())} que ${whole}, de lo que es parte. Aun así se muestra como parte suya.`;
    }
    case "part_of_itself": {
      const whole = `«${t.events.get(p.whole)?.title || "Sin título"}»`;
      return `Se hizo parte de ${whole} mientras eso se hacía parte suya, así que no cuenta como parte de nada. Vale lo que se puso primero.`;
    }
    case "no_address":
      return `«${p.text.slice(0, 60)}» no es una dirección web, así que se muestra como palabras. Una es así: https://school.example/page.`;
    case "no_credit":
      return "Una imagen aún no tiene crédito.";
    case "no_alternative":
      return "Una imagen aún no dice nada a quienes no pueden verla: escribe qué muestra.";
    case "licence_forbids":
      return p.what === "shown"
        ? `«${p.licence}» significa que no se puede mostrar sin permiso. Pregunta a quien tiene los derechos y escribe «Usado con permiso», o toma otra imagen.`
        : `Se recortó o se giró, y «${p.licence}» no lo permite. Muéstrala entera de nuevo, o toma otra imagen.`;
  }
}
