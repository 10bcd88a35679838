import { MOST_ROSTER, type Roster } from "../../classes/roster";
import type * as En from "../en/people";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  addFromList: "Lernende aus einer Liste hinzufügen",
  listHelp:
    "Ein Name pro Zeile, wie die Klasse ihn sehen soll: ein Vorname, oder ein erfundener. Was hinter einem Komma steht, siehst nur du, zum Beispiel den ganzen Namen.",
  list: "Namen",
  listExample: "Ada\nJonas, der größere\nMila K., Mila Kovac",
  fromFile: "Aus einem OneRoster-Export",
  fileHelp: "users.csv, und dazu enrollments.csv, oder das Zip, in dem sie liegen. Fassungen 1.1 und 1.2.",
  file: "Dateien eines OneRoster-Exports",
  notARoster:
    "Diese Dateien sind kein OneRoster-Export: users.csv hat die Spalten sourcedId und givenName. Niemand wurde hinzugefügt.",
  notUnpacked:
    "Dieses Zip lässt sich nicht öffnen. Pack es aus, und wähle users.csv und enrollments.csv. Niemand wurde hinzugefügt.",
  whichClass: "Welche Klasse des Exports",
  found: (n) => (n === 1 ? "1 Name hinzuzufügen" : `${n} Namen hinzuzufügen`),
  tooMany: `Eine Klasse fasst bis zu ${MOST_ROSTER} Lernende. Mach die Liste kürzer; niemand wurde hinzugefügt.`,
  add: (n) => (n === 1 ? "Hinzufügen" : `Alle ${n} hinzufügen`),
  slips: "Zettel zum Austeilen",
  slipsHelp:
    "Alle melden sich mit Name und Code ihres Zettels an und wählen dann ein Passwort. Die Codes sind nur jetzt zu sehen; druck sie, oder mach später neue.",
  addedAnd: (added, there) =>
    there === 0
      ? `${added} hinzugefügt.`
      : `${added} hinzugefügt; ${there === 1 ? "1 war" : `${there} waren`} schon da.`,
  print: "Die Zettel drucken",
  done: "Fertig",
  newSlips: "Neue Zettel für alle, die noch nicht hereingekommen sind",
  nobodyWaits: "Alle, die über eine Liste hierher kamen, sind hereingekommen.",
  slipTitle: (klass) => `Fastigo · ${klass}`,
  signInName: "Anmeldename",
  code: "Code fürs erste Mal",
  how: (address) =>
    `${address} → Anmelden → „Deine Lehrkraft hat dir einen Code gegeben?“ Wähle ein Passwort; von da an meldest du dich damit an.`,
  teachers: "Wer hier unterrichtet",
  role: { lead: "leitet die Klasse", teacher: "unterrichtet", assistant: "hilft mit" },
  colleague: "E-Mail des Kontos einer Kollegin oder eines Kollegen",
  as: "Als",
  asTeacher: "Lehrkraft: stellt, sieht und bewertet",
  asAssistant: "Hilfe: sieht und kommentiert",
  take: "In die Klasse nehmen",
  remove: (name) => `${name} herausnehmen`,
  leave: "Die Klasse verlassen",
  handOver: (name) => `${name} leiten lassen`,
  removeShort: "Herausnehmen",
  year: "Schuljahr",
  endYear: "Das Jahr dieser Klasse beenden",
  endYearHelp:
    "Niemand tritt mehr bei oder gibt ab; alles ist weiter zu sehen und bleibt so lange, wie oben steht. Das lässt sich zurücknehmen.",
  yearOver: "Das Jahr dieser Klasse ist vorbei.",
  fromArchive: (at) =>
    `Diese Klasse kam am ${at} aus einem Archiv zurück. Was vorher abgegeben und bewertet wurde, ist so, wie das Archiv es sagt.`,
  reopen: "Wieder öffnen",
  nextYear: "Das nächste Jahr damit beginnen",
  nextYearHelp:
    "Eine neue Klasse mit denselben Einstellungen, Lehrkräften und Aufgaben, jede ein Jahr später fällig, und noch ohne Lernende.",
  nextName: "Name der Klasse dann",
  begin: "Beginnen",
  cancel: "Lassen",
  assistantNote: "Du hilfst in dieser Klasse mit: Du siehst alle Arbeiten und kommentierst sie.",
};

export function leftText(left: Roster["left"]): string[] {
  const of = (why: Roster["left"][number]["why"]) => left.filter((l) => l.why === why);
  const lines = (found: Roster["left"]) =>
    found
      .slice(0, 5)
      .map((l) => `„${l.text}“ (Zeile ${l.line})`)
      .join(", ") + (found.length > 5 ? ` und ${found.length - 5} weitere` : "");
  const [empty, long, double, there] = [of("no_name"), of("too_long"), of("double"), of("there")];
  return [
    empty.length > 0 ? `Kein Name: ${lines(empty)}. Schreib einen, oder nimm die Zeile weg.` : "",
    long.length > 0 ? `Länger als 60 Zeichen: ${lines(long)}.` : "",
    double.length > 0
      ? `Zweimal in der Liste und einmal genommen: ${lines(double)}. Sind es zwei Personen, schreib hinter ein Komma, was sie unterscheidet.`
      : "",
    there.length > 0 ? `Schon in der Klasse: ${lines(there)}.` : "",
  ].filter(Boolean);
}
