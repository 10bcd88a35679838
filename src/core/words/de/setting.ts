import type { RubricSum, rubricProblem } from "../../classes/rubric";
import type * as En from "../en/setting";
import type { Like } from "../like";

export function rubricProblemText(p: NonNullable<ReturnType<typeof rubricProblem>>): string {
  return p.code === "no_name"
    ? "Ein Kriterium des Rasters hat keinen Namen. Benenne es, oder nimm es weg; nichts wurde gespeichert."
    : `Alle Stufen von „${p.criterion}“ geben gleich viele Punkte, darum unterscheidet es niemanden. Gib verschiedene; nichts wurde gespeichert.`;
}

export function rubricSumText(sum: RubricSum, total: number): string {
  const parts = sum.parts.map(
    (p) => `${p.name} ${p.points} von ${p.best}${p.weight === 1 ? "" : `, ${p.weight}-fach gezählt`}`,
  );
  const said = parts.length === 0 ? "" : `${parts.join("; ")}. `;
  if (sum.points === null) return `${said}Noch offen: ${sum.open.join(", ")}.`;
  return sum.of === total
    ? `${said}Zusammen ${sum.have} von ${sum.of}.`
    : `${said}Zusammen ${sum.have} von ${sum.of}, das sind ${sum.points} von ${total}.`;
}

export const WORDS: Like<typeof En.WORDS> = {
  requirementsHelp:
    "Jede wird geprüft, während gearbeitet wird, und steht neben der Zeitleiste. Auch Gewünschtes wird geprüft, und ohne es fehlt nichts.",
  addRequirement: "Eine Anforderung hinzufügen",
  chooseOne: "Eine wählen",
  asked: "verlangt",
  wished: "gewünscht",
  askedOrWished: (name) => `${name}: verlangt oder gewünscht`,
  takeAway: (name) => `Wegnehmen: ${name}`,
  takeAwayShort: "Wegnehmen",
  noRequirements: "Noch ist nichts verlangt.",
  eventsAtLeast: "Ereignisse, mindestens",
  spansAtLeast: "Zeitspannen, mindestens",
  mediaAtLeast: "Bilder oder Videos, mindestens",
  mediaCounts: "Was zählt",
  sourcesEach: "Quellen pro Ereignis, mindestens",
  wordsAtLeast: "Wörter in einer Beschreibung, mindestens",
  wordsAtMost: "Wörter in einer Beschreibung, höchstens",
  wordsInAll: "Wörter insgesamt, mindestens",
  wordsInAllMost: "Wörter insgesamt, höchstens",
  before: "Ereignisse davor",
  after: "Ereignisse danach",
  whichEvent: "Welches Ereignis, nach seinem Titel",
  categories: "Kategorien, Kommas dazwischen",
  crossingTrade: "Überquerung, Handel",
  pageWords: (name) => `${name}: Wörter, mindestens`,
  countOf: (name) => `${name}, mindestens`,
  howItIsDone: "Wie es gemacht wird",
  late: "Zu spät abgegeben",
  lateAccepted: "wird angenommen und als zu spät bezeichnet",
  lateRefused: "nichts wird angenommen; Einzelne können mehr Zeit bekommen",
  groups: "Gruppen",
  groupsPupils: "Lernende bilden sie, wenn sie beginnen",
  groupsSingle: "alle arbeiten allein",
  groupsTeacher: "ich bilde sie, von Hand oder durch Los",
  blind: "Namen sind beim Bewerten verborgen",
  blindHelp: "Du siehst „Arbeit 1“, „Arbeit 2“, bis du sie zurückgibst.",
  worksShown: "Lernende sehen, was andere abgegeben haben",
  worksChosen: "was ich für die Galerie wähle",
  worksHandedIn: "alles, sobald ihres abgegeben ist (zurücknehmen lässt es sich dann nicht)",
  worksDue: "alles, sobald der Termin vorbei ist",
  model: "Eine Zeitleiste, die zeigt, wie es gemacht werden kann",
  noModel: "keine",
  modelShown: "Lernende sehen sie",
  shownBefore: "von Anfang an",
  shownAfter: "sobald ihre Arbeit zurück ist",
  shownNever: "nie",
  untitled: "Ohne Titel",
  texts: "Texte zum Lesen daneben",
  textsHelp: "Quellentexte, Auszüge, Fragen: Lernende lesen sie neben ihrem Schaubild.",
  textTitle: (n) => `Text ${n}: Titel`,
  textWords: (n) => `Text ${n}`,
  addText: "Einen Text hinzufügen",
  takeTextAway: (n) => `Text ${n} wegnehmen`,
  rubric: "Wonach bewertet wird",
  rubricEditor: "Bewertungsraster",
  rubricHelp: "Kriterien in Stufen, jede mit Punkten. Ohne Raster gibst du Punkte nach Ermessen.",
  noRubric: "Nur Punkte",
  makeRubric: "Ein Raster machen",
  keptRubrics: "Eins, das ich aufgehoben habe",
  chooseRubric: "Ein Raster wählen",
  rubricName: "Name des Rasters",
  rubricNameExample: "Projekt Überquerung",
  criterion: (n) => `Kriterium ${n}`,
  criterionExample: "Genauigkeit der Daten",
  counts: (n) => `Kriterium ${n}: zählt so oft`,
  countsShort: "zählt",
  times: "mal",
  levelName: (c, l) => `Kriterium ${c}, Stufe ${l}: Name`,
  levelText: (c, l) => `Kriterium ${c}, Stufe ${l}: was es dafür braucht`,
  levelPoints: (c, l) => `Kriterium ${c}, Stufe ${l}: Punkte`,
  points: "Punkte",
  addCriterion: "Ein Kriterium hinzufügen",
  addLevel: "Eine Stufe hinzufügen",
  takeLevelAway: (c, l) => `Stufe ${l} von Kriterium ${c} wegnehmen`,
  takeCriterionAway: (c) => `Kriterium ${c} wegnehmen`,
  keepRubric: "Zum Wiederbenutzen aufheben",
  rubricKept: "Aufgehoben.",
  rubricOut: "Als Datei",
  rubricIn: "Aus einer Datei",
  rubricFile: "Datei eines Rasters",
  assignmentFile: "Datei einer Aufgabe",
  withoutRubric: "Ohne Raster bewerten",
  noRubricFile:
    "Diese Datei enthält kein Raster von Fastigo. Nichts wurde geändert; wähle eins, das hier herausgenommen wurde.",
  levelNames: ["Über das Verlangte hinaus", "Wie verlangt", "Teilweise", "Noch nicht"],
  criteriaNames: ["Genauigkeit", "Erklärung", "Quellen"],
  assignmentOut: "Als Datei, zum Weitergeben",
  assignmentIn: "Aus einer Datei",
  noAssignmentFile:
    "Diese Datei enthält keine Aufgabe von Fastigo. Nichts wurde geändert; wähle eine, die hier herausgenommen wurde.",
  fromFile: "Aus der Datei ausgefüllt. Setz den Termin, sieh sie durch, und stell sie.",
  useAgain: "Noch einmal stellen",
  useAgainIn: "In welcher Klasse",
  useAgainHelp: "Alles wird kopiert, nur nicht, was Lernende taten. Sieh es durch und setz den Termin.",
  useIt: "Dort stellen",
  handout: "Eine Seite zum Drucken",
};
