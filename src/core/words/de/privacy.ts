import type * as En from "../en/privacy";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  title: "Was von dir aufbewahrt wird, und wer es sieht",
  link: "Was aufbewahrt wird, und wer es sieht",
  intro: (klass, teachers) => `Das ist die Klasse ${klass}. Ihre Lehrkräfte: ${teachers}.`,
  points: (months, publish, noNames, outside, recording) => [
    "Deine Klasse sieht den Namen, den du gewählt hast, und sonst nichts von dir. Deine Lehrkräfte sehen auch deinen Anmeldenamen und haben vielleicht deinen ganzen Namen notiert; den sieht sonst niemand.",
    "Deine Lehrkräfte sehen die Zeitleisten, die du für eine Aufgabe dieser Klasse machst, während du daran arbeitest und wie du sie abgegeben hast. Deine anderen Zeitleisten sehen sie nur, wenn du sie einlädst.",
    "Andere deiner Klasse sehen, was du abgibst, nur wo die Aufgabe es sagt oder wo deine Lehrkräfte es der Klasse zeigen.",
    "Wer eine Zeitleiste offen hat, sieht, wer sie noch offen hat und wo; nichts davon wird aufbewahrt. Kommentare und Vorschläge bleiben bei der Zeitleiste, bis sie oder sie selbst gelöscht wird.",
    "Bei einer solchen Zeitleiste wird gezählt, wer welche Worte und Ereignisse geschrieben hat, und wann. Deine Lehrkräfte sehen es von der Gruppe, du siehst es von dir: unter „Die Aufgabe“, „Was von deiner Arbeit gezählt wird“.",
    "Wortlaut aus deiner Arbeit wird mit den Arbeiten der Klasse und den Texten verglichen, die ihr bekommen habt. Du siehst Stellen deiner eigenen; deine Lehrkräfte sehen beide Seiten. Keine Maschine entscheidet, was das bedeutet.",
    `Was du abgibst, seine Bewertungen und Kommentare werden ${months} Monate aufbewahrt und dann vernichtet. Deine Zeitleiste bleibt deine.`,
    "Deine Lehrkräfte können die Klasse mit ihren Arbeiten und Bewertungen als Datei mitnehmen, um sie aufzuheben oder in ein anderes Fastigo zu bringen; dort wird es nicht länger aufbewahrt.",
    publish,
    noNames
      ? "Auf dem, was davon veröffentlicht wird, steht niemandes Name: Die Autorenzeile ist leer oder ein Pseudonym."
      : "Auf dem, was davon veröffentlicht wird, steht die Autorenzeile, die du wählst. Es muss nicht dein Name sein.",
    outside
      ? "Videos anderer Seiten werden erst geholt, wenn du sie anklickst; diese Seiten erfahren dann, dass du zusiehst."
      : "Videos anderer Seiten werden hier nicht abgespielt.",
    recording
      ? "Kamera und Mikrofon werden nur benutzt, wenn du auf Aufnehmen drückst."
      : "Kamera und Mikrofon werden hier nicht benutzt.",
    "Unter deinem Konto kannst du alles von dir als Datei mitnehmen und das Konto löschen, mit allem, was nur dir gehört.",
  ],
  publish: {
    only_me: "Was du für diese Klasse machst, kann nicht veröffentlicht werden.",
    class: "Was du für diese Klasse machst, kann für die Klasse veröffentlicht werden, nicht darüber hinaus.",
    school: "Was du für diese Klasse machst, kann für die Schule veröffentlicht werden, nicht darüber hinaus.",
    password: "Was du für diese Klasse machst, kann hinter einem Passwort veröffentlicht werden, nicht für alle.",
    link: "Was du für diese Klasse machst, kann für alle veröffentlicht werden, die den Link haben; Suchmaschinen werden gebeten, es wegzulassen.",
    everybody: "Was du für diese Klasse machst, kann für alle veröffentlicht werden.",
  },
  fromSchool: "Was deine Schule hinzufügt",
  edit: "Was deine Schule dem hinzufügt, in eigenen Worten",
  editHelp: "Lernende und ihre Eltern lesen es unter dem, was Fastigo selbst sagt. Bis zu 5.000 Zeichen.",
  save: "Speichern",
  saved: "Gespeichert.",
  print: "Es lässt sich für Eltern ausdrucken.",
  back: "Zurück zur Klasse",
};
