import type { Standing } from "../../classes/standing";
import type * as En from "../en/teaching";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  title: "Mis clases hoy",
  help: "Lo que te espera, clase por clase. Cada nombre lleva a donde se hace.",
  toMark: "Por calificar",
  again: "Entregado de nuevo",
  late: "Tarde",
  stuck: "No avanza",
  asked: "Te ha preguntado",
  nothing: "nadie",
  none: "Aún no enseñas ninguna clase.",
  newClass: "Nueva clase",
  newSchool: "Crear un centro",
  students: (n) => (n === 1 ? "1 alumna o alumno" : `${n} alumnas y alumnos`),
  questions: (n) => (n === 1 ? "1 pregunta" : `${n} preguntas`),
  more: (n) => `y ${n} más`,
  allQuiet: "Aquí no espera nada.",
  table: (name) => `Lo que espera en ${name}`,
};

export function standingText(s: Standing, missing: readonly string[]): string {
  switch (s.code) {
    case "idle":
      return s.begun ? `sin escribir nada desde hace ${s.days} días` : `sin empezar, puesta hace ${s.days} días`;
    case "behind":
      return `vence pronto: ${missing.join("; ")}`;
    default:
      return "";
  }
}
