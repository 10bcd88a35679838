import type { Tongue } from "./tongue";

const WEEKDAYS = ["Montag", "Dienstag", "Mittwoch", "Donnerstag", "Freitag", "Samstag", "Sonntag"] as const;
/** As DIN 5008 counts eras; "v. u. Z." where they are not named after anybody. */
const ERAS = { BC: ["v. Chr.", "n. Chr."], BCE: ["v. u. Z.", "u. Z."] } as const;
/** "Anfang 1840", but "Anfang der 1840er" and "Anfang des 19. Jahrhunderts". */
const PARTS = { early: "Anfang", mid: "Mitte", late: "Ende" } as const;
const TIMES_OF_DAY = { early: "früh am", mid: "mitten am", late: "spät am" } as const;

const UNITS = {
  minute: ["Minute", "Minuten"],
  hour: ["Stunde", "Stunden"],
  day: ["Tag", "Tage"],
  week: ["Woche", "Wochen"],
  month: ["Monat", "Monate"],
  year: ["Jahr", "Jahre"],
} as const;
const scaleText = (amount: string, scale: "million" | "billion"): string =>
  `${scale === "million" ? "Million" : "Milliarde"}${amount === "1" ? "" : scale === "million" ? "en" : "n"}`;

/** German, as the Duden writes dates. */
export const DE: Tongue = {
  months: [
    "Januar",
    "Februar",
    "März",
    "April",
    "Mai",
    "Juni",
    "Juli",
    "August",
    "September",
    "Oktober",
    "November",
    "Dezember",
  ],
  shortMonths: ["Jan.", "Feb.", "März", "Apr.", "Mai", "Juni", "Juli", "Aug.", "Sept.", "Okt.", "Nov.", "Dez."],
  weekdays: WEEKDAYS,
  shortWeekdays: WEEKDAYS.map((d) => d.slice(0, 2)),
  seasons: { spring: "Frühling", summer: "Sommer", autumn: "Herbst", winter: "Winter" },
  number: (n) => (n >= 10_000 ? n.toLocaleString("de") : String(n)),
  decimal: (digits) => digits.replace(".", ","),
  before1: (year, era) => `${year} ${ERAS[era][0]}`,
  after1: (year, era) => `${year} ${ERAS[era][1]}`,
  date: (day, month, year) => `${day}. ${month} ${year}`,
  dayMonth: (day, month) => `${day}. ${month}`,
  day: (day) => `${day}.`,
  monthYear: (month, year) => `${month} ${year}`,
  numbers: (day, month, year) => `${day}.${month}.${year}`,
  onWeekday: (weekday, date, long) => (long ? `${weekday}, ${date}` : `${weekday} ${date}`),
  hour: (hour) => `${hour} Uhr`,
  decade: (year) => `${year}er`,
  hundreds: (year) => `${year}er`,
  century: (n) => `${n}. Jahrhundert`,
  millennium: (n) => `${n}. Jahrtausend`,
  ofEra: (name, era) => `${name} ${ERAS[era][0]}`,
  season: (season, year) => `${season} ${year}`,
  part: (part, whole, of) => {
    if (of === "day") return `${TIMES_OF_DAY[part]} ${whole}`;
    if (of === "century") return `${PARTS[part]} des ${whole.replace("Jahrhundert", "Jahrhunderts")}`;
    return `${PARTS[part]} ${of === "decade" || of === "hundreds" ? "der " : ""}${whole}`;
  },
  about: (date) => `um ${date}`,
  before: (date) => `vor ${date}`,
  after: (date) => `nach ${date}`,
  between: (first, last) => `zwischen ${first} und ${last}`,
  from: (date) => `ab ${date}`,
  until: (date) => `bis ${date}`,
  ago: (amount, unit) => {
    if (unit === "bp") return `${amount} BP`;
    const one = amount === "1";
    if (unit === "years") return one ? "vor 1 Jahr" : `vor ${amount} Jahren`;
    if (unit === "thousand") return `vor ${amount} Tausend Jahren`;
    return `vor ${amount} ${unit === "million" ? (one ? "Million" : "Millionen") : one ? "Milliarde" : "Milliarden"} Jahren`;
  },
  julian: "(julianisch)",
  unknown: "unbekannt",
  present: "heute",
  aDayLater: (time) => `${time}, einen Tag später`,
  someTime: (year) => `irgendwann ${year}`,
  someDay: (month) => `an einem Tag im ${month}`,
  orLater: (first, last) => `${first} oder später, bis ${last}`,
  someTimeBetween: (first, last) => `irgendwann zwischen ${first} und ${last}`,
  shortAgo: (amount, unit) => `vor ${amount} ${unit === "million" ? "Mio." : "Mrd."} J.`,
  toYears: (from, to) => `${from} bis ${to}`,
  scaled: (amount, scale) => (scale ? `${amount} ${scaleText(amount, scale)}` : amount),
  length: (amount, scale, unit, one) =>
    `${amount} ${scale ? `${scaleText(amount, scale)} ` : ""}${UNITS[unit][one ? 0 : 1]}`,
  upTo: (length) => `bis zu ${length}`,
  range: (least, most) => `${least} bis ${most}`,
};
