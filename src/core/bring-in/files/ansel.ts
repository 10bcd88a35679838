/** Letters of ANSEL (ANSI/NISO Z39.47-1993) that stand for themselves. */
const LETTERS: Record<number, string> = {
  161: "Ł",
  162: "Ø",
  163: "Đ",
  164: "Þ",
  165: "Æ",
  166: "Œ",
  167: "ʹ",
  168: "·",
  169: "♭",
  170: "®",
  171: "±",
  172: "Ơ",
  173: "Ư",
  174: "ʼ",
  176: "ʻ",
  177: "ł",
  178: "ø",
  179: "đ",
  180: "þ",
  181: "æ",
  182: "œ",
  183: "ʺ",
  184: "ı",
  185: "£",
  186: "ð",
  188: "ơ",
  189: "ư",
  192: "°",
  193: "ℓ",
  194: "℗",
  195: "©",
  196: "♯",
  197: "¿",
  198: "¡",
  199: "ß",
  207: "ß",
};
/** Marks that stand before the letter they belong to; in Unicode they stand after it. */
const MARKS: Record<number, string> = {
  224: "\u0309",
  225: "\u0300",
  226: "\u0301",
  227: "\u0302",
  228: "\u0303",
  229: "\u0304",
  230: "\u0306",
  231: "\u0307",
  232: "\u0308",
  233: "\u030c",
  234: "\u030a",
  235: "\u0361",
  237: "\u0315",
  238: "\u030b",
  239: "\u0310",
  240: "\u0327",
  241: "\u0328",
  242: "\u0323",
  243: "\u0324",
  244: "\u0325",
  245: "\u0333",
  246: "\u0332",
  247: "\u0326",
  248: "\u031c",
  249: "\u032e",
  254: "\u0313",
};

/** The text of a family file in ANSEL, in composed letters. */
export function fromAnsel(bytes: Uint8Array): string {
  const parts: string[] = [];
  let marks = "";
  for (const b of bytes) {
    const mark = MARKS[b];
    if (mark) {
      marks += mark;
      continue;
    }
    parts.push(b < 128 ? String.fromCharCode(b) : (LETTERS[b] ?? "\ufffd"), marks);
    marks = "";
  }
  return parts.join("").normalize("NFC");
}
