import type * as En from "../en/editor-ledger";
import type { Like } from "../like";

const number = (n: number) => n.toLocaleString("de");

export const WORDS: Like<typeof En.WORDS> = {
  oneHas: (x) => `einer hat ${x}`,
  textHas: (x) => `Text hat ${x}`,
  aTitleHoldsCharactersThis: (title, x) =>
    `Ein Titel fasst ${title} Zeichen; dieser ${x}. Nichts wurde hinzugefügt, und der Text steht noch hier: Kürze ihn, oder setz den Rest in die Beschreibung.`,
  writeTheNextEventOn: "Schreib das nächste Ereignis in eine Zeile",
  writeTheNextEventOn2: "Schreib das nächste Ereignis in eine Zeile – um 1840 - 1852 Dampfmühle #Handel",
  enter: "Eingabe",
  dateFirstOrLastAnd:
    "Datum am Anfang oder Ende, # und eine Kategorie, @ und ein Ort, + und ein Schlagwort, ! für ein wichtiges. Füge eine Liste ein, um viele hinzuzufügen.",
  whatTheLineUnderstands: "Was diese Zeile versteht",
  pressAnExample: "Klick auf ein Beispiel, um es auszuprobieren.",
  restAsDescription: (words) => `der Rest, ${words} Wörter, wird seine Beschreibung`,
  takeItAsOneLine: "Als eine Zeile nehmen",
  place: "Ort",
  tags: "Schlagwörter",
  linesEnterAddsAsMany: (count) => `${count} Zeilen: Die Eingabetaste fügt ebenso viele Ereignisse hinzu`,
  date: "Datum",
  noneYet: "noch keines",
  title: "Titel",
  category: "Kategorie",
  new: (category) => `${category} (neu)`,
  important: "Wichtig",
  takeTheDateOutOf: "Das Datum herausnehmen",
  allOfItIsThe: "Alles davon ist der Titel",
  ledger: "Journal",
  more: "Mehr",
  noDateYet: "noch kein Datum",
  notUnderstood: "nicht verstanden",
  untitled: "Ohne Titel",
  none: "keine",
  yes: "ja",
  words: (wordsIn) => (wordsIn === 1 ? "1 Wort" : `${wordsIn} Wörter`),
  open: (name) => `${name} öffnen`,
  openTheEventSheet: "Das Blatt des Ereignisses öffnen",
  open2: "Öffnen",
  moreAbout: (name) => `Mehr zu ${name}`,
  insertBefore: "Davor einfügen",
  insertAfter: "Danach einfügen",
  insertChapter: "Ein Kapitel davor einfügen",
  chapter: "Kapitel",
  newChapter: "Neues Kapitel vor dem ausgewählten Ereignis",
  duplicate: "Verdoppeln",
  delete: "Löschen",
  dragOntoWhatItIs: (name) => `Zieh „${name}“ auf das, wovon es ein Teil ist`,
  cellOf: (column, name) => `${column}, ${name}`,
  mark: (name) => `${name} markieren`,
  row: "Zeile",
  markAll: "Alle Zeilen markieren",
  choices: "Auswahl",
  sortRowsBy: "Ordnung der Zeilen",
  lastOnTop: "Das Letzte zuoberst",
  sortedUp: "aufwärts sortiert",
  sortedDown: "abwärts sortiert",
  sortBy: (column) => `Die Zeilen nach ${column} ansehen`,
  columnKeys: "Umschalt und Pfeiltasten machen die Spalte breiter oder schmaler, Alt und Pfeiltasten verschieben sie.",
  dragToWiden: "Ziehen macht die Spalte breiter oder schmaler; zweimal klicken: wie üblich",
  sortedSoOrderStays:
    "Die Zeilen sind sortiert. Geh zurück zur Ordnung der Zeit (Alt-T), um Ereignisse darin zu verschieben.",
  textTooLong: (column, has, most) =>
    `${column} fasst ${most} Zeichen; das hat ${has}. Es steht noch hier: Kürze es, oder setz den Rest in die Beschreibung.`,
  noRoomForTag: (n) =>
    `Bei ${n === 1 ? "1 Ereignis" : `${n} Ereignissen`} ist kein Platz dafür: Ein Ereignis hat höchstens 30 Schlagwörter von höchstens 40 Buchstaben. Die anderen haben es.`,
  notAValue: (column, text) =>
    ({
      partOf: `Kein Ereignis, von dem es ein Teil sein könnte, heißt „${text}“. Wähle eines aus der Liste, oder Escape.`,
      sign: `Ein Zeichen „${text}“ gibt es nicht. Wähle eines aus der Liste, oder Escape.`,
      done: `„${text}“ ist kein Prozentwert: Schreib eine Zahl von 0 bis 100, oder Escape.`,
      tags: `„${text}“ ist mehr, als passt: Ein Ereignis hat bis zu 30 Schlagwörter mit bis zu 40 Zeichen.`,
    })[column] ?? `„${text}“ ist weder ja noch nein.`,
  nothingToPaste: "In der Zwischenablage ist kein Text, darum wurde nichts eingefügt.",
  nothingPastedBecause: (why) => `Nichts wurde eingefügt. ${why}`,
  cellTooLong: (row, column, has, most) =>
    `Nichts wurde eingefügt: Zeile ${row} hat ${has} Zeichen für ${column}, wo ${most} passen. Die Zwischenablage hat noch alles.`,
  eventsAdded: (n) => (n === 1 ? "1 Ereignis wurde hinzugefügt." : `${number(n)} Ereignisse wurden hinzugefügt.`),
  datesKeptAsTyped: (n) =>
    n === 1
      ? "1 Datum wurde nicht verstanden und steht, wie es geschrieben war."
      : `${number(n)} Daten wurden nicht verstanden und stehen, wie sie geschrieben waren.`,
  keptInNotes: (n) =>
    n === 1
      ? "1 Zelle passte nicht in ihre Spalte: Ihre Worte stehen in der privaten Notiz des Ereignisses."
      : `${number(n)} Zellen passten nicht in ihre Spalten: Ihre Worte stehen in den privaten Notizen.`,
  givenLeft: (n) =>
    n === 1
      ? "1 Zelle eines vorgegebenen Ereignisses bleibt, wie deine Lehrkraft sie gesetzt hat."
      : `${number(n)} Zellen vorgegebener Ereignisse bleiben, wie deine Lehrkraft sie gesetzt hat.`,
  countedTakeNothing: (n) =>
    n === 1
      ? "1 Zelle wird aus dem gezählt, was das Ereignis hat, und nimmt nichts an."
      : `${number(n)} Zellen werden aus dem gezählt, was die Ereignisse haben, und nehmen nichts an.`,
  beyondLastColumn: (n) =>
    `${n === 1 ? "1 Zelle lag jenseits der letzten Spalte und wurde" : `${number(n)} Zellen lagen jenseits der letzten Spalte und wurden`} weggelassen: Zeig mehr Spalten und füge noch einmal ein.`,
  readingRows: (done, total) => `${number(done)} von ${number(total)} Zeilen gelesen`,
  stopReading: "Anhalten",
  lookAt: "Was gezeigt wird",
  look: "Ansehen",
  lookAtSome: "Einige ansehen",
  wordsAnywhere: "Worte in Ereignissen",
  wordsToLookFor: "Worte, die gesucht werden",
  columns: "Spalten",
  columnsShown: "Gezeigte Spalten",
  earlierColumn: (column) => `${column} nach links verschieben`,
  laterColumn: (column) => `${column} nach rechts verschieben`,
  columnsAsUsual: "Wie üblich",
  shownOf: (n, total) => `${number(n)} von ${number(total)}`,
  allEvents: (n) => (n === 1 ? "1 Ereignis" : `${number(n)} Ereignisse`),
  showAll: "Alle zeigen",
  noneFits: "Kein Ereignis passt zu dem, was du suchst.",
  altT: "Alt-T",
  backToTime: "Zurück zur Ordnung der Zeit",
  sortedBy: (column) => `Sortiert nach ${column}`,
  chartFollows: "Das Schaubild zeigt dasselbe",
  withoutCategory: "ohne Kategorie",
  withTag: "Schlagwörter",
  writtenBy: "Geschrieben von",
  thatLack: "Die sind",
  lacks: {
    date: "ohne Datum",
    source: "ohne Quelle",
    picture: "ohne Bild",
    description: "ohne Beschreibung",
    finding: "einen Blick wert",
  },
  you: "du",
  find: "Finden",
  rowsMarked: (n) => (n === 1 ? "1 Zeile markiert" : `${number(n)} Zeilen markiert`),
  rowsChosen: (n) => (n === 1 ? "1 Zeile ausgewählt" : `${number(n)} Zeilen ausgewählt`),
  unmark: "Loslassen",
  changeAll: "Alle ändern",
  set: "Setzen",
  to: "auf",
  addTag: "Schlagwort hinzufügen",
  takeTag: "Schlagwort wegnehmen",
  whatToChange: "Was zu ändern ist",
  change: "Ändern",
  moveDates: "Daten verschieben",
  moveBy: "Verschieben um",
  unit: "Einheit",
  earlier: "früher",
  later: "später",
  units: {
    years: "Jahre",
    months: "Monate",
    weeks: "Wochen",
    days: "Tage",
    hours: "Stunden",
    minutes: "Minuten",
  },
  moveThem: "Verschieben",
  datesMoved: (n) => (n === 1 ? "1 Datum wurde verschoben." : `${number(n)} Daten wurden verschoben.`),
  datesTooCoarse: (n) =>
    n === 1 ? "1 ist weniger genau bekannt und blieb." : `${number(n)} sind weniger genau bekannt und blieben.`,
  datesNotMoved: (n) =>
    n === 1
      ? "1 hat kein Datum, das sich verschieben ließe."
      : `${number(n)} haben kein Datum, das sich verschieben ließe.`,
  copyTo: "Kopieren nach",
  copyIntoTimeline: "Kopieren in",
  chooseATimeline: "Wähle eine deiner Zeitleisten",
  noOtherTimeline: "Du hast keine andere Zeitleiste, die du bearbeiten darfst.",
  copied: (n, title) =>
    n === 1 ? `1 Ereignis wurde in „${title}“ kopiert.` : `${number(n)} Ereignisse wurden in „${title}“ kopiert.`,
  copyThem: "Kopieren",
  givenNotDeleted: (n) =>
    n === 1
      ? "1 vorgegebenes Ereignis lässt sich nicht löschen und bleibt."
      : `${n} vorgegebene Ereignisse lassen sich nicht löschen und bleiben.`,
  bringIn: "Hereinholen",
  bringInHint: "Eine Tabelle oder eine Liste: eingefügt oder aus einer Datei",
};

export const LINE_GRAMMAR: Like<typeof En.LINE_GRAMMAR> = [
  ["1604 Seilfähre genehmigt", "erst ein Datum, dann der Titel"],
  ["Unruhen am Maitag 1911", "oder das Datum am Ende"],
  ["um 1840 - 1852 Dampfmühle", "von wann bis wann; um, vor, 1840er, Frühling 1783, 310 v. Chr."],
  ["14. Nov. 1872 22:10 Ostkai unter Wasser", "eine Tageszeit"],
  ["Das Bühnenbild bauen", "noch kein Datum: Es steht am Ende und lässt sich verschieben"],
  ["1744 Holzbrücke #Übergang", "# und die Kategorie; eine neue wird angelegt"],
  ['1766 Schule öffnet @"Am Ostufer"', "@ und der Ort; mehrere Wörter in Anführungszeichen"],
  ["1783 Frühjahrsflut +Fluss +Eis", "+ und ein Schlagwort, so viele du willst"],
  ["1872 Die lange Nacht !", "! für sich allein: wichtig"],
];

export const COLUMN_NAMES: Like<typeof En.COLUMN_NAMES> = {
  when: "Wann",
  title: "Titel",
  shortTitle: "Kurztitel",
  category: "Kategorie",
  partOf: "Teil von",
  place: "Ort",
  tags: "Schlagwörter",
  media: "Medien",
  words: "Beschreibung",
  source: "Quelle",
  link: "Link",
  emphasis: "Wichtig",
  sign: "Zeichen",
  done: "Fertig",
  note: "Private Notiz",
};
