import type * as En from "../en/practice";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  practise: "Üben",
  practiseTitle: (timeline) => `Üben: ${timeline}`,
  exercise: "Übung",
  exercises: { order: "In Ordnung bringen", dates: "Das Datum schreiben", within: "Welches von vieren fiel hinein?" },
  helps: {
    dates: "Ein Ereignis ist zu sehen; schreib, wann es war. Ein Jahr genügt. Wie weit du daneben liegst, zählt.",
    within: "Eine Spanne ist mit ihren Daten zu sehen, und vier Ereignisse ohne ihre: Drück auf das, das hineinfiel.",
  },
  backToClass: "Zurück zur Klasse",
  needsScript: "Diese Übung braucht einen Browser mit Skripten. Bitte deine Lehrkraft um ein Blatt Papier.",
  sent: "Deine Lehrkraft sieht dieses Ergebnis.",
  notSent:
    "Dieser Versuch wurde nicht aufgehoben: Du hast diese Übung hundertmal gemacht, oder du unterrichtest die Klasse.",
  couldNotCheck: (why) => `${why} Deine Ordnung ist noch hier: Drück noch einmal auf Prüfen.`,
  when: (title) => `Wann war „${title}“?`,
  whenLabel: "Wann es war",
  checkIt: "Prüfen",
  next: "Weiter",
  dateIs: { right: (title, date) => `Richtig: „${title}“, ${date}.` },
  broad: (title, date) => `Damals war es, aber das sagt wenig: „${title}“, ${date}.`,
  dateOff: (title, date, by, early) => `„${title}“: ${date}. Das ist ${by} zu ${early ? "früh" : "spät"}.`,
  unread:
    "Das ist kein Datum, das man lesen kann. Schreib ein Jahr, einen Tag wie 14. Nov. 1872, oder eine Zeit wie um 1840.",
  datesResult: (right, of) => (right === of ? `Alle ${of} Daten sind richtig.` : `${right} von ${of} Daten richtig.`),
  whichWithin: (span) => `Welches davon fiel in ${span}?`,
  withinRight: (title, date) => `Richtig: „${title}“, ${date}.`,
  withinOff: (title, date, by, early, right, when) =>
    `„${title}“ war ${date}: ${by} zu ${early ? "früh" : "spät"}. Hinein fiel „${right}“, ${when}.`,
  withinResult: (right, of) => (right === of ? `Alle ${of} richtig.` : `${right} von ${of} richtig.`),
  tooFewSpans:
    "Es braucht Spannen oder Jahrhunderte mit mindestens einem Ereignis darin und drei außerhalb. Füg Ereignisse hinzu, oder wähle eine andere Übung.",
  question: (n, of) => `Frage ${n} von ${of}`,
  paper: "Ein Blatt drucken",
  sheet: "Blatt",
  answers: "Lösungen",
  paperOrder: "Nummeriere diese Ereignisse vom frühesten (1) bis zum spätesten.",
  paperDates: "Schreib, wann jedes davon war.",
  paperWithin: "Bezeichne das eine Ereignis, das in die Spanne fiel.",
  name: "Name",
  putInOrder: "In Ordnung bringen",
  title: (timeline) => `In Ordnung bringen: ${timeline}`,
  help: "Die Daten sind verborgen und die Ereignisse gemischt. Nimm eins, dann drück, wo es auf den First gehört: das früheste links.",
  tooFew: "Es braucht mindestens drei Ereignisse mit Titel und Datum. Mit Teilen oder Spannen sind es vielleicht mehr.",
  howMany: "Wie viele",
  ofCategory: "Aus der Kategorie",
  anyCategory: "jeder",
  all: (n) => `alle ${n}`,
  withParts: "Auch Teile anderer Ereignisse",
  withSpans: "Auch Spannen, nach ihrem Anfang",
  checked: "Geprüft",
  eachAtOnce: "jedes, sobald es liegt",
  atTheEnd: "alle am Ende",
  teams: "Zwei Gruppen wechseln sich ab",
  begin: "Beginnen",
  leave: "Verlassen",
  pile: "Noch zu legen",
  ridge: "Auf dem First",
  take: (title) => `${title} nehmen`,
  taken: (title) =>
    `${title} ist genommen. Drück, wo es hingehört, oder beweg es mit den Pfeiltasten und drück Eingabe; Esc legt es zurück.`,
  placeFirst: "Als Erstes auf den First",
  placeBetween: (a, b) => `Zwischen ${a} und ${b}`,
  placeBefore: (a) => `Vor ${a}`,
  placeAfter: (a) => `Nach ${a}`,
  takeOff: (title) => `${title} vom First nehmen`,
  hint: "Tipp: das Jahrhundert",
  neighbour: "Tipp: der Nachbar",
  century: (century) => `Es ist aus dem ${century}.`,
  before: (text) => `Es war ${text}.`,
  neighbourIs: (title) => `Es steht neben „${title}“.`,
  noNeighbour: "Nichts, was liegt, steht schon daneben.",
  stands: (title, date) => `„${title}“, ${date}, steht richtig.`,
  tooEarly: (title, date, by) =>
    `„${title}“, ${date}: Das ist ${by} zu früh. Es wurde dorthin gelegt, wo es hingehört.`,
  tooLate: (title, date, by) => `„${title}“, ${date}: Das ist ${by} zu spät. Es wurde dorthin gelegt, wo es hingehört.`,
  turn: (team) => `${team} ist dran.`,
  team: (n) => (n === 0 ? "Gruppe A" : "Gruppe B"),
  check: "Die Ordnung prüfen",
  result: (right, of) =>
    right === of
      ? `Alle ${of} stehen, wo sie hingehören.`
      : right === 0
        ? `Noch keins von ${of} steht, wo es hingehört.`
        : `${right} von ${of} ${right === 1 ? "steht, wo es hingehört" : "stehen, wo sie hingehören"}.`,
  placedRight: (right, of) =>
    right === of
      ? `Du hast alle ${of} richtig gelegt.`
      : right === 0
        ? `Du hast keins von ${of} richtig gelegt.`
        : `Du hast ${right} von ${of} richtig gelegt.`,
  longAgo: "vor mehr als 10.000 Jahren",
  offBy: (title, places, early, by) =>
    `„${title}“ liegt ${places === 1 ? "einen Platz" : `${places} Plätze`}${by ? `, ${by},` : ""} zu ${early ? "früh" : "spät"}.`,
  inAll: (percent) => `Danach, wie weit jedes daneben liegt, sind das ${percent} von 100.`,
  teamsResult: (a, b) => `Gruppe A hat ${a} richtig gelegt, Gruppe B ${b}.`,
  again: "Noch einmal",
  inOrder: "In ihrer Ordnung",
  keep: "Das Ergebnis als Datei behalten",
};
