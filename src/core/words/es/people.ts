import { MOST_ROSTER, type Roster } from "../../classes/roster";
import type * as En from "../en/people";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  addFromList: "Añadir alumnado de una lista",
  listHelp:
    "Un nombre por línea, como lo ha de ver la clase: un nombre de pila, o uno inventado. Lo que va detrás de una coma lo ves solo tú, como el nombre completo.",
  list: "Nombres",
  listExample: "Ada\nJonás, el más alto\nMila K., Mila Kovac",
  fromFile: "De una exportación OneRoster",
  fileHelp: "users.csv, y con él enrollments.csv, o el zip en el que están. Versiones 1.1 y 1.2.",
  file: "Archivos de una exportación OneRoster",
  notARoster:
    "Estos archivos no son una exportación OneRoster: users.csv tiene las columnas sourcedId y givenName. No se ha añadido a nadie.",
  notUnpacked:
    "Este zip no se puede abrir. Descomprímelo, y elige users.csv y enrollments.csv. No se ha añadido a nadie.",
  whichClass: "Qué clase de la exportación",
  found: (n) => (n === 1 ? "1 persona que añadir" : `${n} personas que añadir`),
  tooMany: `En una clase caben hasta ${MOST_ROSTER} personas. Acorta la lista; no se ha añadido a nadie.`,
  add: (n) => (n === 1 ? "Añadir a esta persona" : `Añadir a ${n} personas`),
  slips: "Hojitas para repartir",
  slipsHelp:
    "Cada cual entra con el nombre y el código de su hojita, y elige entonces una contraseña. Los códigos se muestran solo ahora; imprímelos, o haz otros más tarde.",
  addedAnd: (added, there) =>
    `${added === 1 ? "1 añadido" : `${added} añadidos`}${there === 0 ? "" : `; ${there === 1 ? "1 ya estaba" : `${there} ya estaban`}`}.`,
  print: "Imprimir las hojitas",
  done: "Listo",
  newSlips: "Hojitas nuevas para quienes aún no han entrado",
  nobodyWaits: "Ya ha entrado todo el que se puso aquí con una lista.",
  slipTitle: (klass) => `Fastigo · ${klass}`,
  signInName: "Nombre de acceso",
  code: "Código para la primera vez",
  how: (address) =>
    `${address} → Entrar → «¿Tu docente te dio un código?» Elige una contraseña; desde entonces entras con ella.`,
  teachers: "Quién enseña aquí",
  role: { lead: "dirige la clase", teacher: "enseña", assistant: "ayuda" },
  colleague: "Correo de la cuenta de un colega",
  as: "Como",
  asTeacher: "docente: pone, ve y califica",
  asAssistant: "ayudante: ve y comenta",
  take: "Incorporar a la clase",
  remove: (name) => `Sacar a ${name}`,
  leave: "Dejar la clase",
  handOver: (name) => `Que dirija ${name}`,
  removeShort: "Sacar",
  year: "Curso",
  endYear: "Terminar el curso de esta clase",
  endYearHelp:
    "Ya no se une ni entrega nadie; todo se sigue viendo, y se guarda lo que dice arriba. Se puede volver atrás.",
  yearOver: "El curso de esta clase ha terminado.",
  fromArchive: (at) =>
    `Esta clase volvió de un archivo el ${at}. Lo entregado y calificado antes es tal como lo decía el archivo.`,
  reopen: "Abrirla de nuevo",
  nextYear: "Empezar con ella el curso siguiente",
  nextYearHelp:
    "Una clase nueva con los mismos ajustes, docentes y tareas, cada una para un año después, y aún sin alumnado.",
  nextName: "Nombre de la clase entonces",
  begin: "Empezarlo",
  cancel: "Dejarlo",
  assistantNote: "Ayudas en esta clase: ves todos los trabajos y los comentas.",
};

export function leftText(left: Roster["left"]): string[] {
  const of = (why: Roster["left"][number]["why"]) => left.filter((l) => l.why === why);
  const lines = (found: Roster["left"]) =>
    found
      .slice(0, 5)
      .map((l) => `«${l.text}» (línea ${l.line})`)
      .join(", ") + (found.length > 5 ? ` y ${found.length - 5} más` : "");
  const [empty, long, double, there] = [of("no_name"), of("too_long"), of("double"), of("there")];
  return [
    empty.length > 0 ? `Sin nombre: ${lines(empty)}. Escribe uno, o quita la línea.` : "",
    long.length > 0 ? `Más de 60 caracteres: ${lines(long)}.` : "",
    double.length > 0
      ? `Dos veces en la lista, y tomado una: ${lines(double)}. Si son dos personas, escribe algo detrás de una coma que las distinga.`
      : "",
    there.length > 0 ? `Ya en la clase: ${lines(there)}.` : "",
  ].filter(Boolean);
}
