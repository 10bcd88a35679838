import type { RubricSum, rubricProblem } from "../../classes/rubric";
import type * as En from "../en/setting";
import type { Like } from "../like";

export function rubricProblemText(p: NonNullable<ReturnType<typeof rubricProblem>>): string {
  return p.code === "no_name"
    ? "Un criterio de la rúbrica no tiene nombre. Ponle uno, o quítalo; no se ha guardado nada."
    : `Todos los niveles de «${p.criterion}» dan los mismos puntos, así que no distingue a nadie. Dales puntos distintos; no se ha guardado nada.`;
}

export function rubricSumText(sum: RubricSum, total: number): string {
  const parts = sum.parts.map(
    (p) => `${p.name} ${p.points} de ${p.best}${p.weight === 1 ? "" : `, contado ${p.weight} veces`}`,
  );
  const said = parts.length === 0 ? "" : `${parts.join("; ")}. `;
  if (sum.points === null) return `${said}Aún por decidir: ${sum.open.join(", ")}.`;
  return sum.of === total
    ? `${said}En total ${sum.have} de ${sum.of}.`
    : `${said}En total ${sum.have} de ${sum.of}, que son ${sum.points} de ${total}.`;
}

export const WORDS: Like<typeof En.WORDS> = {
  requirementsHelp:
    "Cada uno se comprueba mientras se trabaja, y se dice junto a la línea de tiempo. Lo deseable también se comprueba, y sin ello no falta nada.",
  addRequirement: "Añadir un requisito",
  chooseOne: "Elige uno",
  asked: "exigido",
  wished: "deseable",
  askedOrWished: (name) => `${name}: exigido o deseable`,
  takeAway: (name) => `Quitar: ${name}`,
  takeAwayShort: "Quitar",
  noRequirements: "Aún no se pide nada.",
  eventsAtLeast: "Eventos, al menos",
  spansAtLeast: "Periodos, al menos",
  mediaAtLeast: "Imágenes o vídeos, al menos",
  mediaCounts: "Qué cuenta",
  sourcesEach: "Fuentes por evento, al menos",
  wordsAtLeast: "Palabras en una descripción, al menos",
  wordsAtMost: "Palabras en una descripción, como mucho",
  wordsInAll: "Palabras en total, al menos",
  wordsInAllMost: "Palabras en total, como mucho",
  before: "Eventos antes de él",
  after: "Eventos después de él",
  whichEvent: "Qué evento, por su título",
  categories: "Categorías, separadas por comas",
  crossingTrade: "Paso, Comercio",
  pageWords: (name) => `${name}: palabras, al menos`,
  countOf: (name) => `${name}, al menos`,
  howItIsDone: "Cómo se hace",
  late: "Entregado tarde",
  lateAccepted: "se acepta, y se dice que es tarde",
  lateRefused: "no se acepta nada; a personas concretas se les puede dar más tiempo",
  groups: "Grupos",
  groupsPupils: "los hace el alumnado al empezar",
  groupsSingle: "cada cual trabaja por su cuenta",
  groupsTeacher: "los hago yo, a mano o por sorteo",
  blind: "Los nombres se ocultan mientras se califica",
  blindHelp: "Ves «Trabajo 1», «Trabajo 2» hasta que lo devuelves.",
  worksShown: "El alumnado ve lo que entregaron otros",
  worksChosen: "lo que elijo para la galería",
  worksHandedIn: "todo, cuando haya entregado lo suyo (entonces no se puede retirar)",
  worksDue: "todo, cuando haya vencido el plazo",
  model: "Una línea de tiempo que muestra cómo se puede hacer",
  noModel: "ninguna",
  modelShown: "El alumnado la ve",
  shownBefore: "desde el comienzo",
  shownAfter: "cuando su trabajo se haya devuelto",
  shownNever: "nunca",
  untitled: "Sin título",
  texts: "Textos para leer al lado",
  textsHelp: "Textos de fuentes, extractos, preguntas: el alumnado los lee junto a su gráfico.",
  textTitle: (n) => `Texto ${n}: título`,
  textWords: (n) => `Texto ${n}`,
  addText: "Añadir un texto",
  takeTextAway: (n) => `Quitar el texto ${n}`,
  rubric: "Con qué se califica",
  rubricEditor: "Rúbrica",
  rubricHelp: "Criterios en niveles, cada uno con puntos. Sin rúbrica das los puntos que te parezcan.",
  noRubric: "Solo puntos",
  makeRubric: "Hacer una rúbrica",
  keptRubrics: "Una que he guardado",
  chooseRubric: "Elige una rúbrica",
  rubricName: "Nombre de la rúbrica",
  rubricNameExample: "Proyecto Cruzar el río",
  criterion: (n) => `Criterio ${n}`,
  criterionExample: "Exactitud de las fechas",
  counts: (n) => `Criterio ${n}: cuenta tantas veces`,
  countsShort: "cuenta",
  times: "veces",
  levelName: (c, l) => `Criterio ${c}, nivel ${l}: nombre`,
  levelText: (c, l) => `Criterio ${c}, nivel ${l}: qué hace falta`,
  levelPoints: (c, l) => `Criterio ${c}, nivel ${l}: puntos`,
  points: "puntos",
  addCriterion: "Añadir un criterio",
  addLevel: "Añadir un nivel",
  takeLevelAway: (c, l) => `Quitar el nivel ${l} del criterio ${c}`,
  takeCriterionAway: (c) => `Quitar el criterio ${c}`,
  keepRubric: "Guardarla para usarla de nuevo",
  rubricKept: "Guardada.",
  rubricOut: "Como archivo",
  rubricIn: "De un archivo",
  rubricFile: "Archivo de una rúbrica",
  assignmentFile: "Archivo de una tarea",
  withoutRubric: "Calificar sin rúbrica",
  noRubricFile:
    "Este archivo no contiene ninguna rúbrica de Fastigo. No se ha cambiado nada; elige uno que se sacó aquí.",
  levelNames: ["Más de lo pedido", "Como se pidió", "En parte", "Aún no"],
  criteriaNames: ["Exactitud", "Explicación", "Fuentes"],
  assignmentOut: "Como archivo, para un colega",
  assignmentIn: "De un archivo",
  noAssignmentFile:
    "Este archivo no contiene ninguna tarea de Fastigo. No se ha cambiado nada; elige uno que se sacó aquí.",
  fromFile: "Rellenada con el archivo. Pon para cuándo es, repásala, y ponla.",
  useAgain: "Ponerla de nuevo",
  useAgainIn: "En qué clase",
  useAgainHelp: "Se copia todo menos lo que hizo el alumnado. Repásala y pon para cuándo es.",
  useIt: "Ponerla allí",
  handout: "Una página para imprimir",
};
