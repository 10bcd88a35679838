import type { Held } from "../../looks/facts";
import type * as En from "../en/looks";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  look: "Aussehen",
  lookTitle: "Wie die Zeitleiste aussieht",
  looks: "Gebaut aus",
  pointToTry: "Zeig auf eins, um es im Schaubild zu versuchen; drück darauf, um es zu behalten.",
  names: {
    slate: "Schiefer",
    limestone: "Kalkstein",
    brick: "Backstein",
    oak: "Eiche",
    glass: "Glas",
    plaster: "Putz",
    copper: "Kupfer",
    concrete: "Beton",
    iron: "Eisen",
  },
  asTheLook: "wie das Aussehen es hat",
  behind: "Hinter dem Schaubild",
  paper: "Papier",
  texture: "Struktur",
  textures: {
    "": "wie das Aussehen es hat",
    plain: "keine",
    linen: "Leinen",
    stipple: "Tupfen",
    courses: "Ziegelreihen",
    veins: "Holzmaserung",
    tiles: "Dachziegel",
  },
  ownPicture: "Ein eigenes Bild",
  useAPicture: "Ein Bild hinter das Schaubild legen",
  pictureFile: "Eine Bilddatei für hinter dem Schaubild",
  pictureHelp: "Es wird so weit verblasst, dass Wörter und Linien sich davon abheben.",
  takePictureAway: "Das Bild wegnehmen",
  strength: "Wie stark es zu sehen ist",
  percent: (n) => `${n} %`,
  fit: "Wie es liegt",
  fits: { fill: "es füllt das Schaubild", whole: "ganz, in der Mitte" },
  whatIsSeen: "Was davon zu sehen ist, wo es beschnitten wird: quer und hoch",
  lines: "Linien",
  lineWeights: { "-1": "feiner", "0": "wie üblich", "1": "kräftiger" },
  labels: "Was Beschriftungen sagen",
  dates: "Daten",
  labelDates: { always: "immer", unmarked: "wo keine Marke des Firsts dasselbe sagt", never: "nie" },
  titles: "Titel",
  labelTitles: { always: "immer", unpictured: "wo kein Bild ist" },
  contrast: "Kontrast",
  contrastHelp: "Ausgerechnet für alles, was in diesem Schaubild geschrieben steht; mindestens 4,5 : 1 wird gehalten.",
  ratio: (n) => `${(Math.floor(n * 10) / 10).toFixed(1).replace(".", ",")} : 1`,
  facts: {
    words: "Titel",
    quiet: "Erste Wörter",
    ridge: "Daten auf dem First",
    category: (name) => name || "Ohne Namen",
    none: "Ohne Kategorie",
    onRoof: "Titel auf Dächern, das Geringste",
    overPicture: "Wörter über dem Bild, das Geringste",
  },
  saved: "Gespeicherte Aussehen",
  savedHelp:
    "Mit Farben und Mustern der Kategorien, nach ihren Namen. Ein Bild hinter dem Schaubild gehört nicht dazu.",
  noneSaved: "Noch keine.",
  saveThis: "Dieses Aussehen speichern",
  saveName: "Name des Aussehens",
  saveFor: "Für",
  forMe: "meine anderen Zeitleisten",
  forClass: (name) => `die Klasse ${name}`,
  ofClass: (name) => `Klasse ${name}`,
  wear: "Tragen",
  wearNamed: (name) => `${name} tragen`,
  deleteNamed: (name) => `${name} löschen`,
  nothingToChange: "Diese Zeitleiste sieht schon so aus.",
  savedNow: (name) => `Gespeichert als „${name}“.`,
  toFile: "Als Datei herausnehmen",
  fromFile: "Eine Datei hereinbringen",
  lookFile: "Eine Datei mit einem Aussehen",
  faults: {
    no_json: "Diese Datei ist kein JSON, darum ließ sich kein Aussehen daraus lesen. Nichts wurde geändert.",
    no_look: "Diese Datei enthält JSON, aber kein Aussehen von Fastigo. Nichts wurde geändert.",
    other_version:
      "Dieses Aussehen stammt von einem neueren Fastigo und lässt sich hier nicht lesen. Nichts wurde geändert.",
    broken:
      "In dieser Datei steht ein Wert, den kein Aussehen hat: eine Farbe, ein Name oder eine Zahl. Nichts wurde geändert; nimm das Aussehen noch einmal dort heraus, wo es herkam.",
    large: "Eine Datei mit einem Aussehen ist kleiner als 1 MB; diese wurde nicht gelesen. Nichts wurde geändert.",
  },
  seenBy: "Gesehen",
  seenHelp: "Nur wie du es jetzt ansiehst: Nichts wird geändert. Muster müssen Kategorien weiter unterscheiden.",
  seen: {
    all: "mit allen Farben",
    grey: "in Schwarz-Weiß",
    protan: "von jemandem ohne rote Zapfen",
    deutan: "von jemandem ohne grüne Zapfen",
    tritan: "von jemandem ohne blaue Zapfen",
  },
  sizes: "Wie Lesende es sehen",
  sizesTitle: (title) => `${title || "Ohne Titel"}, wie Lesende es sehen`,
  devices: { laptop: "Laptop", tablet: "Tablet", phone: "Telefon" },
  deviceFrame: (name, width, height) => `${name}, ${width} mal ${height}`,
  shown: "Gezeigt",
  sideBySide: "nebeneinander",
  inLook: "Aussehen",
  ownLook: "sein eigenes",
  view: "Ansicht",
  viewNames: { begin: "der Anfang", chart: "das Schaubild", read: "der Text", index: "das Verzeichnis" },
  backToEditor: "Zurück zum Editor",
  colour: "Farbe",
  ownColour: "eine eigene",
  asCategory: "wie seine Kategorie",
  chooseColour: (name) => `Eigene Farbe von ${name}`,
  loudnessOf: (name) => `Wie laut ${name} ist`,
  loudness: { "-1": "leiser", "0": "wie üblich", "1": "lauter" },
  itsLine: "Seine Linie",
  labelSays: "Seine Beschriftung sagt",
  asOthers: "was die anderen sagen",
  ofItsOwn: "etwas Eigenes",
  parts: { date: "Datum", title: "Titel", words: "erste Wörter", picture: "Bild" },
  signGroups: {
    land: "Land und Wetter",
    building: "Bauen",
    going: "Unterwegs",
    people: "Menschen",
    power: "Macht und Recht",
    works: "Kunst und Wissenschaft",
  },
  findASign: "Ein Zeichen finden",
  noSuchSign: "Kein Zeichen dieses Namens.",
  noSign: "kein Zeichen",
};

export function heldText(h: Held): string {
  switch (h.of) {
    case "paper":
      return `Das Papier ist ${h.shown} statt ${h.wanted}: Darauf ließen sich weder dunkle noch helle Wörter gut lesen.`;
    case "picture": {
      const [wanted, shown] = [h.wanted, h.shown].map((share) => Math.round(share * 100));
      return `Das Bild hinter dem Schaubild sollte zu ${wanted} % zu sehen sein. Gezeigt wird es zu ${shown} %: Stärker höben sich Wörter oder Linien nicht davon ab.`;
    }
    case "category":
      return `${h.name || WORDS.facts.category("")} ist ${h.shown} statt ${h.wanted}, damit sich die Daten auf diesem Papier lesen lassen.`;
  }
}

export const lookAlikeText = (one: string, other: string): string =>
  `${WORDS.facts.category(one)} und ${WORDS.facts.category(other)} sehen im Schaubild gleich aus: Gib einer von ihnen eine andere Farbe oder ein anderes Muster.`;
