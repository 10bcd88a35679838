/** The type that ships with the application: what a family is called in style sheets, its files, and from which to which weight it goes. */
export const FAMILIES = {
  hyperlegible: { css: "Atkinson Hyperlegible Next Variable", file: "atkinson-hyperlegible-next", weights: "200 800" },
  literata: { css: "Literata Variable", file: "literata", weights: "200 900" },
  bitter: { css: "Bitter Variable", file: "bitter", weights: "100 900" },
  alegreya: { css: "Alegreya Variable", file: "alegreya", weights: "400 900" },
  jost: { css: "Jost Variable", file: "jost", weights: "100 900" },
  nunito: { css: "Nunito Variable", file: "nunito", weights: "200 1000" },
  archivo: { css: "Archivo Variable", file: "archivo", weights: "100 900" },
} as const;
/** A family that charts are written in: the width of each of its letters is known. */
export type Family = keyof typeof FAMILIES;

/** Families for headings of pages alone. */
export const HEADINGS = {
  bricolage: { css: "Bricolage Grotesque Variable", file: "bricolage-grotesque", weights: "200 800" },
  oswald: { css: "Oswald Variable", file: "oswald", weights: "200 700" },
  fraunces: { css: "Fraunces Variable", file: "fraunces", weights: "100 900" },
} as const;
export type Heading = keyof typeof HEADINGS | Family;

export const shippedType = (name: Heading): { css: string; file: string; weights: string } =>
  ({ ...FAMILIES, ...HEADINGS })[name];

/** Which letters the two files of a family hold. */
const SETS = {
  latin:
    "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
  "latin-ext":
    "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0",
} as const;

/** The style sheet that makes a family known to a page. */
export function fontFaces(name: Heading): string {
  const { css, file, weights } = shippedType(name);
  return Object.entries(SETS)
    .map(
      ([set, range]) =>
        `@font-face{font-family:"${css}";src:url(/fonts/${file}-${set}-wght-normal.woff2) format("woff2");font-weight:${weights};font-display:swap;unicode-range:${range}}`,
    )
    .join("");
}

/** The weights that charts are written in. */
export const WEIGHTS = [400, 600, 700] as const;
export type Weight = (typeof WEIGHTS)[number];
/** One weight of one family. */
export type Face = `${Family}${Weight}`;

/** A face taken apart. */
export function partsOf(face: Face): { family: Family; weight: Weight } {
  return { family: face.slice(0, -3) as Family, weight: Number(face.slice(-3)) as Weight };
}
