import type * as En from "../en/places";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  map: "Karte",
  untitled: "Ohne Titel",
  place: "Ort",
  whereItHappened: "wo es geschah",
  found: (n) => (n === 1 ? "1 Vorschlag" : `${n} Vorschläge`),
  onTheMap: "Auf der Karte",
  setOnMap: "Auf die Karte setzen",
  within: (country) => `${country}: der Platz auf der Karte; deine Worte bleiben`,
  callIt: (town, km) => (km < 2 ? `${town} nennen` : `${town} nennen, ${km} km entfernt`),
  moveOnMap: "Auf der Karte verschieben",
  takeOff: "Von der Karte nehmen",
  chooseTitle: "Wo es geschah",
  chooseHelp:
    "Klick auf die Karte, oder schreib Koordinaten. Ziehen verschiebt die Karte, das Rad oder zwei Finger holen sie näher.",
  coordinates: "Koordinaten",
  coordinatesExample: "51.508, -0.126",
  noCoordinates: (text) =>
    `„${text}“ sind keine Koordinaten. Schreib Breite und Länge, wie 51.508, -0.126 oder 51°30′N 0°8′W. Nichts wurde geändert.`,
  noLatitude: (text) =>
    `„${text}“ liegt nirgends auf der Erde: Eine Breite reicht von 90 Grad Süd bis 90 Grad Nord. Nichts wurde geändert.`,
  noLongitude: (text) =>
    `„${text}“ liegt nirgends auf der Erde: Eine Länge reicht von 180 Grad West bis 180 Grad Ost. Nichts wurde geändert.`,
  take: "Diesen Ort nehmen",
  nearer: "Näher",
  away: "Weiter weg",
  all: "Alles zeigen",
  mapHelp:
    "Ereignisse mit einem Platz auf der Karte. Wähle eines in der Liste oder auf der Karte; zieh die Enden unter der Karte, um zu sehen, was wann war.",
  none: "Noch hat kein Ereignis einen Platz auf der Karte. Öffne ein Ereignis und schreib seinen Ort: Städte sind beim Namen bekannt; oder setz es auf die Karte.",
  shown: (n, of) =>
    n === of
      ? `${of === 1 ? "1 Ereignis" : `${of} Ereignisse`} auf der Karte`
      : `${n} von ${of} Ereignissen auf der Karte`,
  window: "Was gezeigt wird, von und bis",
  from: "Von",
  to: "Bis",
  play: "Abspielen",
  stop: "Anhalten",
  whole: "Alles",
  here: (n) => (n === 1 ? "1 Ereignis hier" : `${n} Ereignisse hier`),
  without: (n) =>
    n === 1 ? "1 Ereignis hat keinen Platz auf der Karte." : `${n} Ereignisse haben keinen Platz auf der Karte.`,
  whichMap: "Welche Karte",
  world: "Welt",
  ownMap: "Die Karte der Zeitleiste",
  noneOnOwn:
    "Noch steht kein Ereignis auf der Karte der Zeitleiste. Öffne ein Ereignis und setz es darauf; oder knüpf die Karte an die Welt, dann steht jedes Ereignis darauf, dessen Ort in ihr liegt.",
  withoutOwn: (n) =>
    n === 1
      ? "1 Ereignis steht nicht auf der Karte der Zeitleiste."
      : `${n} Ereignisse stehen nicht auf der Karte der Zeitleiste.`,
  ownMapOf: (n) =>
    `Die Karte der Zeitleiste mit ${n === 1 ? "1 Ereignis" : `${n} Ereignissen`}; die Liste darunter hat dieselben.`,
  ownMapHelp:
    "Ein Bild kann die Karte der Zeitleiste sein: ein alter Plan, ein Grundriss, eine selbst gezeichnete Karte. Ereignisse setzt man durch Klicken darauf.",
  useAPicture: "Ein Bild als Karte nehmen",
  useAnother: "Ein anderes Bild nehmen",
  ownMapFile: "Ein Bild als Karte der Zeitleiste: eine Datei wählen",
  ties: "An die Welt geknüpft",
  tiesHelp:
    "Zwei oder drei Punkte, deren Platz auf der Erde bekannt ist, knüpfen die Karte an die Welt: Dann zeigen beide Karten dieselben Ereignisse. Drei richten auch eine Karte aus, die schief liegt.",
  notTied: (n) =>
    n === 0
      ? "Nicht geknüpft."
      : n === 1
        ? "Ein Punkt ist geknüpft; es braucht einen zweiten."
        : "Diese Punkte sagen nicht, wie die Karte liegt: Sie sind an einer Stelle oder auf einer Linie. Knüpf noch einen.",
  tied: (n) => `Mit ${n} Punkten geknüpft.`,
  tieOf: (n) => `Punkt ${n}`,
  addATie: "Einen Punkt knüpfen",
  tieTitle: "Ein Punkt der Karte auf der Erde",
  tieStep:
    "Klick den Punkt auf der Karte der Zeitleiste an und sag dann, wo auf der Erde er ist: eine Stadt oder Koordinaten.",
  tieWhere: "Wo auf der Erde er ist",
  tieExample: "eine Stadt, oder 51.508, -0.126",
  tieIt: "Knüpfen",
  noSuchPlace: (text) =>
    `Eine Stadt namens „${text}“ ist hier nicht bekannt, und Koordinaten sehen aus wie 51.508, -0.126. Nichts wurde geknüpft.`,
  untie: (n) => `Punkt ${n} lösen`,
  across: "Quer über die Karte, Prozent",
  down: "Die Karte hinunter, Prozent",
  setOnOwn: "Auf die Karte der Zeitleiste setzen",
  moveOnOwn: "Auf der Karte der Zeitleiste verschieben",
  takeOffOwn: "Von der Karte der Zeitleiste nehmen",
  onOwnByPlace: "Es steht durch seinen Ort auf der Erde auf der Karte der Zeitleiste.",
  chooseOnOwn: "Wo auf der Karte der Zeitleiste es geschah",
  chooseOnOwnHelp:
    "Klick auf die Karte, oder setz es mit Zahlen. Ziehen verschiebt die Karte, das Rad oder zwei Finger holen sie näher.",
  takeSpot: "Diese Stelle nehmen",
  moveWindow: "Das Fenster verschieben",
  earlier: "Fenster früher",
  later: "Fenster später",
  mapOf: (n) => `Eine Weltkarte mit ${n === 1 ? "1 Ort" : `${n} Orten`}; die Liste darunter hat dieselben.`,
};
