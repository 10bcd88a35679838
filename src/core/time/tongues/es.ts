import type { Tongue } from "./tongue";

const ERAS = { BC: ["a. C.", "d. C."], BCE: ["a. e. c.", "e. c."] } as const;
const PARTS = { early: "principios de", mid: "mediados de", late: "finales de" } as const;
const TIMES_OF_DAY = { early: "a primera hora del", mid: "a media jornada del", late: "a última hora del" } as const;

const ROMAN = [
  [1_000, "M"],
  [900, "CM"],
  [500, "D"],
  [400, "CD"],
  [100, "C"],
  [90, "XC"],
  [50, "L"],
  [40, "XL"],
  [10, "X"],
  [9, "IX"],
  [5, "V"],
  [4, "IV"],
  [1, "I"],
] as const;

/** Centuries are counted in Roman numerals. */
function roman(n: number): string {
  let text = "";
  for (const [value, sign] of ROMAN)
    while (n >= value) {
      text += sign;
      n -= value;
    }
  return text;
}

const UNITS = {
  minute: ["minuto", "minutos"],
  hour: ["hora", "horas"],
  day: ["día", "días"],
  week: ["semana", "semanas"],
  month: ["mes", "meses"],
  year: ["año", "años"],
} as const;
const scaleText = (amount: string, scale: "million" | "billion"): string =>
  scale === "billion" ? "mil millones" : amount === "1" ? "millón" : "millones";

/** "de el siglo" is written "del siglo". */
const of = (what: string) => (what.startsWith("siglo") ? `del ${what}` : `de ${what}`).replace(/^de de /, "de ");

/** Spanish, as the Real Academia writes dates. */
export const ES: Tongue = {
  months: [
    "enero",
    "febrero",
    "marzo",
    "abril",
    "mayo",
    "junio",
    "julio",
    "agosto",
    "septiembre",
    "octubre",
    "noviembre",
    "diciembre",
  ],
  shortMonths: ["ene", "feb", "mar", "abr", "may", "jun", "jul", "ago", "sept", "oct", "nov", "dic"],
  weekdays: ["lunes", "martes", "miércoles", "jueves", "viernes", "sábado", "domingo"],
  shortWeekdays: ["lun", "mar", "mié", "jue", "vie", "sáb", "dom"],
  seasons: { spring: "primavera", summer: "verano", autumn: "otoño", winter: "invierno" },
  number: (n) => (n >= 10_000 ? n.toLocaleString("es") : String(n)),
  decimal: (digits) => digits.replace(".", ","),
  before1: (year, era) => `${year} ${ERAS[era][0]}`,
  after1: (year, era) => `${year} ${ERAS[era][1]}`,
  date: (day, month, year, long) => (long ? `${day} de ${month} de ${year}` : `${day} ${month} ${year}`),
  dayMonth: (day, month, long) => (long ? `${day} de ${month}` : `${day} ${month}`),
  day: String,
  monthYear: (month, year, long) => (long ? `${month} de ${year}` : `${month} ${year}`),
  numbers: (day, month, year) => `${day}/${month}/${year}`,
  onWeekday: (weekday, date, long) => (long ? `${weekday}, ${date}` : `${weekday} ${date}`),
  hour: (hour) => `${hour} h`,
  decade: (year) => `década de ${year}`,
  hundreds: (year) => `años ${year}`,
  century: (n) => `siglo ${roman(n)}`,
  millennium: (n) => `${roman(n)} milenio`,
  ofEra: (name, era) => `${name} ${ERAS[era][0]}`,
  season: (season, year) => `${season} de ${year}`,
  part: (part, whole, kind) => {
    if (kind === "day") return `${TIMES_OF_DAY[part]} ${whole}`;
    const name = PARTS[part].slice(0, -3);
    if (kind === "decade") return `${name} de la ${whole}`;
    if (kind === "hundreds") return `${name} de los ${whole}`;
    return `${name} ${of(whole)}`;
  },
  about: (date) => `hacia ${date}`,
  before: (date) => `antes ${of(date)}`,
  after: (date) => `después ${of(date)}`,
  between: (first, last) => `entre ${first} y ${last}`,
  from: (date) => `desde ${date}`,
  until: (date) => `hasta ${date}`,
  ago: (amount, unit) => {
    if (unit === "bp") return `${amount} AP`;
    if (unit === "years") return amount === "1" ? "hace 1 año" : `hace ${amount} años`;
    if (unit === "thousand") return `hace ${amount} mil años`;
    if (unit === "million") return amount === "1" ? "hace 1 millón de años" : `hace ${amount} millones de años`;
    return `hace ${amount} mil millones de años`;
  },
  julian: "(juliano)",
  unknown: "desconocido",
  present: "hoy",
  aDayLater: (time) => `${time}, un día después`,
  someTime: (year) => `en algún momento de ${year}`,
  someDay: (month) => `algún día de ${month}`,
  orLater: (first, last) => `${first} o después, hasta ${last}`,
  someTimeBetween: (first, last) => `en algún momento entre ${first} y ${last}`,
  shortAgo: (amount, unit) => `hace ${amount} ${unit === "million" ? "M" : "mil M"} a`,
  toYears: (from, to) => `${from} a ${to}`,
  scaled: (amount, scale) => (scale ? `${amount} ${scaleText(amount, scale)}` : amount),
  length: (amount, scale, unit, one) =>
    `${amount} ${scale ? `${scaleText(amount, scale)} de ` : ""}${UNITS[unit][one ? 0 : 1]}`,
  upTo: (length) => `hasta ${length}`,
  range: (least, most) => `de ${least} a ${most}`,
};
