/**
 * Dates in German and Spanish, said again as English says them, which `words.ts` and `range.ts` read. In every timeline, whatever language
 * it or its readers speak: the same text is the same date to everybody. What is a word in two languages is taken as all around it is
 * ("ago" alone is English, "5 ago 1900" a day in August).
 */

const MONTHS: Readonly<Record<string, string>> = {
  januar: "january",
  jänner: "january",
  jän: "january",
  enero: "january",
  ene: "january",
  februar: "february",
  feber: "february",
  febr: "february",
  febrero: "february",
  märz: "march",
  maerz: "march",
  mrz: "march",
  marzo: "march",
  mzo: "march",
  abril: "april",
  abr: "april",
  mai: "may",
  mayo: "may",
  juni: "june",
  junio: "june",
  juli: "july",
  julio: "july",
  agosto: "august",
  septiembre: "september",
  setiembre: "september",
  set: "september",
  oktober: "october",
  okt: "october",
  octubre: "october",
  noviembre: "november",
  dezember: "december",
  dez: "december",
  diciembre: "december",
  dic: "december",
};
const SEASONS: Readonly<Record<string, string>> = {
  frühling: "spring",
  frühjahr: "spring",
  sommer: "summer",
  herbst: "autumn",
  primavera: "spring",
  verano: "summer",
  otoño: "autumn",
  invierno: "winter",
};
const UNITS: Readonly<Record<string, string>> = {
  "mil millones": "billion",
  milliarden: "billion",
  milliarde: "billion",
  mrd: "billion",
  millionen: "million",
  million: "million",
  millones: "million",
  millón: "million",
  mio: "million",
  tausend: "thousand",
  mil: "thousand",
};
const LETTER = "[a-zäöüßáéíóúñ]";
const WEEKDAY = new RegExp(
  `(?<!${LETTER})(?:am |el )?(?:montag|dienstag|mittwoch|donnerstag|freitag|samstag|sonnabend|sonntag|lunes|martes|miércoles|miercoles|jueves|viernes|sábado|sabado|domingo|mo|di|mi|do|fr|sa|so|lun|mar(?= \\d{1,2}(?:/| (?:de )?(?:ene|feb|mar|abr|may|jun|jul|ago|sep|oct|nov|dic)))|mié|mie|jue|vie|sáb|sab|dom)[.,]* (?=(?:den |el )?\\d)`,
  "g",
);
const words = (names: readonly string[]) => [...names].sort((a, b) => b.length - a.length).join("|");
const NUMBER = "\\d{1,3}(?:[.,]\\d{3})+(?:,\\d+)?|\\d+(?:[.,]\\d+)?";

/** Nothing is looked at more closely without one of these: most texts are plain figures or English. */
const SIGNS = new RegExp(
  `[äöüßáéíóúñ]|\\d\\.(?= ?${LETTER})|\\d0er|\\bmar \\d|\\b(?:${words([...Object.keys(MONTHS), ...Object.keys(SEASONS), "ago", "sept"])}|um|etwa|ungefähr|rund|circa|zirka|vor|nach|ab|seit|bis|von|zwischen|und|der|im|am|anfang|mitte|ende|jahr|jahre|jahren|jahrhunderts?|jahrtausends?|jh|jhd|jhdt|jhs|uhr|v|n|chr|u|z|vermutlich|wohl|vielleicht|heute|hacia|alrededor|aproximadamente|unos|antes|despues|tras|desde|hasta|entre|y|del?|el|la|los|principios|mediados|finales|fines|comienzos|siglos?|milenio|hace|años?|decada|hoy|posiblemente|probablemente|quiza|quizas|a|d|e|c|ac|dc|julianisch|juliano|gregorianisch|gregoriano|lunes|lun|martes|mie|jueves|jue|viernes|vie|sab|domingo|dom|montag|dienstag|mittwoch|donnerstag|freitag|samstag|sonnabend|sonntag|mo|di|mi|do|fr|sa|so)\\b`,
);

const numeral = (text: string): string => {
  // 5.000 and 4,6: the comma is the sign of decimals, the point groups.
  if (/^\d{1,3}(?:\.\d{3})+(?:,\d+)?$/.test(text)) return text.replaceAll(".", "").replace(",", ".");
  return /^\d{1,3}(?:,\d{3})+$/.test(text) ? text.replaceAll(",", "") : text.replace(",", ".");
};

const ORDINALS = ["th", "st", "nd", "rd"];
const ordinal = (n: number): string => `${n}${n % 100 >= 11 && n % 100 <= 13 ? "th" : (ORDINALS[n % 10] ?? "th")}`;

const ROMAN: Readonly<Record<string, number>> = { i: 1, v: 5, x: 10, l: 50, c: 100, d: 500, m: 1_000 };
/** The value of a numeral, which may be written in digits. */
function counted(text: string): number {
  if (/^\d+$/.test(text)) return Number(text);
  let sum = 0;
  for (const [i, c] of [...text].entries()) {
    const [value, next] = [ROMAN[c]!, ROMAN[text[i + 1] ?? ""] ?? 0];
    sum += value < next ? -value : value;
  }
  return sum;
}

/** In turn: what is found, and how English says it. Each sees what those before it have made of the text. */
const SAID: readonly (readonly [RegExp, string | ((...found: string[]) => string)])[] = [
  [/\b(?:früh|morgens) am (?=\d)|^a primera hora del? (?:día )?/g, "early "],
  [/\bmitten am (?=\d)|^a media jornada del? (?:día )?/g, "mid "],
  [/\b(?:spät|abends) am (?=\d)|^a última hora del? (?:día )?/g, "late "],
  [/ ?\((?:julianisch|juliano|alten? stils?|a\. ?st\.)\)/g, " (julian)"],
  [/ ?\((?:gregorianisch|gregoriano|neuen? stils?|n\. ?st\.)\)/g, " (gregorian)"],
  // Eras.
  [
    / ?\bv(?:or)?\.? ?chr(?:istus|isti geburt)?\b\.?| ?\bv\. ?u\. ?z\.?| ?\ba\. ?e\. ?c\.?| ?\ba\. ?c\.(?: ?n\.)?| ?\b(?:antes de cristo|ac)\b/g,
    " bc",
  ],
  [
    / ?\bn(?:ach)?\.? ?chr(?:istus|isti geburt)?\b\.?| ?\bn\. ?u\. ?z\.?| ?\bu\. ?z\.?| ?\bd\. ?c\.?| ?\be\. ?c\.?| ?\b(?:después de cristo|dc)\b/g,
    " ad",
  ],
  // Long ago.
  [
    new RegExp(
      `\\b(?:vor|(?:de )?hace) (${NUMBER}) ?(?:-|bis|a|y) ?(${NUMBER}) (${words(Object.keys(UNITS))})\\.? (?:de )?(?:jahren|j\\.|años)`,
      "g",
    ),
    (_, first, last, unit) => `${numeral(first!)} - ${numeral(last!)} ${UNITS[unit!]} years ago`,
  ],
  [
    new RegExp(
      `\\b(?:vor|hace) (etwa |rund |ungefähr |ca\\.? |unos |cerca de |aproximadamente )?(${NUMBER}) ?(?:(${words(Object.keys(UNITS))})\\.? )?(?:de )?(?:jahr(?:en)?\\b|j\\.|años?\\b)`,
      "g",
    ),
    (_, about, amount, unit) => `${about ? "about " : ""}${numeral(amount!)} ${unit ? `${UNITS[unit]} ` : ""}years ago`,
  ],
  [/^(\d[\d.,]*) ap$/, (_, amount) => `${numeral(amount!)} bp`],
  // Parts.
  [/^anfang(?: de[rs]| von)? /, "early "],
  [/^mitte(?: de[rs]| von)? /, "mid "],
  [/^ende(?: de[rs]| von)? /, "late "],
  [/^(?:a )?(?:principios|comienzos|inicios) de(?: |l | la | los )+/, "early "],
  [/^(?:a )?mediados de(?: |l | la | los )+/, "mid "],
  [/^(?:a )?(?:finales|fines) de(?: |l | la | los )+/, "late "],
  // Centuries, thousands of years, decades.
  [
    /\b(?:das |im |des |dem )?(\d{1,2})\. ?(?:jahrhunderts?|jhdt?|jhs?|jh)\b\.?/g,
    (_, n) => `${ordinal(Number(n))} century`,
  ],
  [/\b(?:das |im |des |dem )?(\d{1,2})\. ?jahrtausends?\b/g, (_, n) => `${ordinal(Number(n))} millennium`],
  [/\b(?:del |el |los )?(?:siglos?|s\.) ([ivxl]+|\d{1,2})\b/g, (_, n) => `${ordinal(counted(n!))} century`],
  [/\b(?:del |el )?([ivxl]+) milenio\b/g, (_, n) => `${ordinal(counted(n!))} millennium`],
  [/\b(?:die |den |der |in den )?(\d{1,7}0)er(?: ?-?jahren?)?(?![a-zäöü])/g, "$1s"],
  [/\b(?:de |en )?(?:la |los )?(?:década de(?: los)?|decada de|años)(?: los)? (\d{1,7}0)\b/g, "$1s"],
  [WEEKDAY, ""],
  // Days and months.
  [new RegExp(`\\b(?:el )?primero de (?=(?:${words(Object.keys(MONTHS))})\\b)`, "g"), "1 de "],
  [
    new RegExp(
      `(?:\\b(?:am|den|dem|el|del|día) )?\\b(\\d{1,2})(?:\\.|º|°)? ?(?:de )?(${words([...Object.keys(MONTHS), "ago"])})(?!${LETTER})\\.?,?(?: del?(?: año)?(?= \\d))?`,
      "g",
    ),
    (_, day, month) => `${day} ${month === "ago" ? "august" : MONTHS[month!]}`,
  ],
  [
    new RegExp(
      `(?:\\b(?:im|en) )?(?<!${LETTER})(${words(Object.keys(MONTHS))})(?!${LETTER})\\.?,?(?: del?(?: año)?(?= \\d))?`,
      "g",
    ),
    (_, month) => MONTHS[month!]!,
  ],
  [/\bago\.? (?:de )?(?=\d)/g, "august "],
  // "14. November", "14. April": the names that are the same.
  [/\b(\d{1,2})\. ?(?=(?:jan|feb|apr|aug|sep|sept|nov|april|august|september|november)\b)/g, "$1 "],
  [/\b(\d{1,2})\.(?= ?-| ?bis\b)/g, "$1"],
  [
    new RegExp(
      `(?:\\b(?:im|en|el|la) )?(?<!${LETTER})(${words(Object.keys(SEASONS))})(?!${LETTER})(?: del?(?: año)?)?`,
      "g",
    ),
    (_, season) => SEASONS[season!]!,
  ],
  // Times of day.
  [/\b(?:um |a las? )?(\d{1,2})(?:[:.](\d{2}))? ?uhr(?: (\d{2}))?\b/g, (_, h, m, more) => `${h}:${m ?? more ?? "00"}`],
  [/,? (?:a las? )(\d{1,2})[:.](\d{2})(?: ?h(?:oras)?\b)?/g, " $1:$2"],
  [/\b(\d{1,2}:\d{2}) ?(?:h|horas)\b/g, "$1"],
  [/\bp\. m\./g, "pm"],
  [/\ba\. m\./g, "am"],
  [/^(?:mittag|mediodía)$/, "noon"],
  [/^(?:mitternacht|medianoche)$/, "midnight"],
  // Numbers with points: 12.000 v. Chr.
  [/(?<![\d.])\d{1,3}(?:\.\d{3})+(?= (?:bc|ad)\b)/g, (n) => n.replaceAll(".", "")],
  // From, to, about, before, after.
  [/^zwischen (.+) und (.+)$/, "between $1 and $2"],
  [/^entre (?:el |los |la )?(.+) y (?:el |los |la )?(.+)$/, "between $1 and $2"],
  [/^(?:von|vom) (?=.+ bis )/, "from "],
  [/^(?:desde|del?|de) (?:el |la )?(?=.+ (?:hasta|al?) )/, "from "],
  [/ ?- ?(?:heute|jetzt|hoy|ahora)$/, " - present"],
  [/ (?:bis heute|bis jetzt|hasta hoy|hasta (?:la actualidad|ahora)|a la actualidad)$/, " - present"],
  [/ (?:bis zum|bis zu|bis) (?=\S)/g, " to "],
  [/ hasta (?:el |la )?(?=\S)/g, " to "],
  [
    /(\d|january|february|march|april|may|june|july|august|september|october|november|december|bc|ad) (?:al?) (?=\S)/g,
    "$1 to ",
  ],
  [/^(?:ab|seit|desde) (?:el |la |dem )?/, "from "],
  [/^(?:bis zum|bis zu|bis|hasta)(?: el| la)? /, "until "],
  [/^vor (?:dem )?/, "before "],
  [/^nach (?:dem )?/, "after "],
  [/^antes de(?: |l | la )+/, "before "],
  [/^(?:después|despues) de(?: |l | la )+|^tras (?:el |la )?/, "after "],
  [
    /(^| |- )(?:um|etwa|ungefähr|rund|gegen|zirka|hacia|alrededor del?|cerca del?|aproximadamente(?: en)?|unos)(?: den| el| año)? (?=\S)/g,
    "$1about ",
  ],
  [/^(?:vermutlich|wohl|vielleicht|möglicherweise|probablemente|posiblemente|quizás?|quiza) /, "perhaps "],
  [/^(?:im jahre?|das jahr|jahr|en el año|el año|año) (?=\d|about )/, ""],
  [/^(?:im|in den|in der|en el|en la|en los|en|el|los|la) (?=\d)/, ""],
  [/^(?:heute|hoy)$/, "today"],
];

/** A text in small letters as English would write it, where it is German or Spanish; the text itself where nothing in it is. */
export function inEnglish(text: string): string {
  if (!SIGNS.test(text)) return text;
  let said = text;
  for (const [found, english] of SAID) said = said.replace(found, english as string);
  return said.replace(/ {2,}/g, " ").trim();
}
