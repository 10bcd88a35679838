import type { Finding } from "../../check/look-over";
import { dayText } from "../../time/write-when";
import type { Timeline } from "../../timeline/timeline";
import type * as En from "../en/look-over";
import type { Like } from "../like";
import { problemText } from "./findings";
import { heldText, lookAlikeText } from "./looks";

export const WORDS: Like<typeof En.WORDS> = {
  title: "Para revisar antes de entregar",
  help: "Nada de esto te detiene. Lo que has mirado lo puedes apartar con un motivo; tu docente lo lee.",
  nothing: "No hay nada más que mirar.",
  setAside: "Apartar",
  why: (what) => `Por qué se aparta: ${what}`,
  whyShort: "Por qué",
  keep: "Apartarlo",
  cancel: "Dejarlo",
  aside: (n) => (n === 1 ? "1 apartado" : `${n} apartados`),
  toTheLook: "Al aspecto",
  takeBack: "Mirarlo de nuevo",
  wording: "Redacción parecida",
  wordingHelp:
    "Tramos de palabras que están también en otro texto: de la clase, de la tarea, o en una fuente que citas. Aquí se muestran solo los tuyos.",
  look: "Buscar redacción parecida",
  looking: "Buscando …",
  noWording: "No se ha encontrado ninguna.",
  notLooked: "Aún no se ha buscado.",
  words: (n) => `${n} palabras iguales: `,
  mend: "Dilo con tus palabras, o márcalo como cita y nombra su fuente.",
};

export function findingText(f: Finding, t: Timeline): string {
  switch (f.code) {
    case "problem":
      return problemText(f.problem, t);
    case "twice":
      return `Dice lo mismo que «${t.events.get(f.other)?.title || "Sin título"}». Quédate con uno, o di en qué se distinguen.`;
    case "long_sentences":
      return `Sus frases tienen ${f.words} palabras de media. Las más cortas se siguen mejor.`;
    case "hard_to_read":
      return `Es difícil de leer: ${f.ease} de 100 por lo largo de sus palabras y frases. Dilo más llano donde puedas.`;
    case "empty_stretch": {
      const [from, to] = [dayText(f.from, { language: "es" }), dayText(f.to, { language: "es" })];
      return `No hay nada entre ${from} y ${to}, que es ${Math.round(f.share * 100)} de 100 del periodo. ¿Hay algo que decir de ello?`;
    }
    case "contrast":
      return heldText(f.held);
    case "look_alike": {
      const name = (id: string) => t.categories.get(id)?.name ?? "";
      return lookAlikeText(name(f.one), name(f.other));
    }
  }
}
