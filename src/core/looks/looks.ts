import type { Family, Heading } from "../text/families";
import { COLOURS, type Colour, type LookName, type Texture } from "../timeline/looks";

/**
 * A look: type, paper, ridge, colours and patterns that go together. Colours are #RRGGBB. What is not said follows from these
 * (`styleOf`), where the contrast of every pair is computed and mended.
 */
export interface Look {
  family: Family;
  heading: Heading;
  paper: string;
  ink: string;
  /** Words that stand back. */
  quiet: string;
  ridge: string;
  /** Words on the ridge, its marks, and the first and the last date. */
  ridgeInk: string;
  tick: string;
  /** Selection, and what is important. */
  sun: string;
  /** Today's line. */
  today: string;
  colours: Readonly<Record<Colour, string>>;
  /** How strongly patterns stand out on their colour, 0 to 1, and how coarse they are. */
  pattern: { opacity: number; scale: number };
  texture: Texture;
  /** How strong lines are, by the usual ones. */
  lines: number;
}

const PATTERN = { opacity: 0.42, scale: 1 };

/** The looks of the house, named after what one builds with. */
export const LOOK_TABLE: Readonly<Record<LookName, Look>> = {
  slate: {
    family: "hyperlegible",
    heading: "bricolage",
    paper: "#FFFFFF",
    ink: "#16323A",
    quiet: "#4A6572",
    ridge: "#16323A",
    ridgeInk: "#FFFFFF",
    tick: "#7FC4B8",
    sun: "#F2B632",
    today: "#B4481E",
    colours: COLOURS,
    pattern: PATTERN,
    texture: "",
    lines: 1,
  },
  limestone: {
    family: "literata",
    heading: "literata",
    paper: "#FBF7EC",
    ink: "#33291F",
    quiet: "#665848",
    ridge: "#4B3F32",
    ridgeInk: "#FDFAF2",
    tick: "#D9C7A3",
    sun: "#E3B04B",
    today: "#9A3F22",
    colours: {
      verdigris: "#44664C",
      copper: "#9C4527",
      plum: "#6B4468",
      river: "#3A5D7C",
      moss: "#66661F",
      rose: "#93404E",
      umber: "#6B4B2F",
      steel: "#5A5953",
    },
    pattern: { opacity: 0.38, scale: 1 },
    texture: "stipple",
    lines: 1,
  },
  brick: {
    family: "bitter",
    heading: "bitter",
    paper: "#FFFAF4",
    ink: "#2E1C17",
    quiet: "#6B5148",
    ridge: "#7C2F1E",
    ridgeInk: "#FFF8F0",
    tick: "#EDB59F",
    sun: "#F3B54C",
    today: "#7A3B8C",
    colours: {
      verdigris: "#2A655D",
      copper: "#A63D1F",
      plum: "#6F3A6E",
      river: "#2C588C",
      moss: "#5B681D",
      rose: "#A1304F",
      umber: "#6E4426",
      steel: "#585B60",
    },
    pattern: { opacity: 0.45, scale: 1.15 },
    texture: "courses",
    lines: 1.15,
  },
  oak: {
    family: "alegreya",
    heading: "alegreya",
    paper: "#FDF9EF",
    ink: "#2B2418",
    quiet: "#645740",
    ridge: "#5B3A1E",
    ridgeInk: "#FFF9EC",
    tick: "#DDBE8F",
    sun: "#E9B949",
    today: "#A33B1C",
    colours: {
      verdigris: "#3D6839",
      copper: "#A34A17",
      plum: "#70406A",
      river: "#33607A",
      moss: "#6B6A12",
      rose: "#9B3A48",
      umber: "#744A22",
      steel: "#5F5A4E",
    },
    pattern: { opacity: 0.36, scale: 1 },
    texture: "veins",
    lines: 1,
  },
  glass: {
    family: "jost",
    heading: "jost",
    paper: "#F4FAFD",
    ink: "#0E2A3F",
    quiet: "#476076",
    ridge: "#1D4E79",
    ridgeInk: "#FFFFFF",
    tick: "#9CCBE8",
    sun: "#FFC94D",
    today: "#B23A1E",
    colours: {
      verdigris: "#08716A",
      copper: "#B8410F",
      plum: "#6F3FC2",
      river: "#1F57C4",
      moss: "#4A7613",
      rose: "#B31E5C",
      umber: "#864312",
      steel: "#46586B",
    },
    pattern: { opacity: 0.34, scale: 0.9 },
    texture: "",
    lines: 0.8,
  },
  plaster: {
    family: "nunito",
    heading: "nunito",
    paper: "#FFFBF8",
    ink: "#352B45",
    quiet: "#635872",
    ridge: "#4B4377",
    ridgeInk: "#FFFFFF",
    tick: "#C9BFEF",
    sun: "#FFBE3D",
    today: "#B8431A",
    colours: {
      verdigris: "#0A736E",
      copper: "#BD4715",
      plum: "#7844AE",
      river: "#2261AE",
      moss: "#557411",
      rose: "#BA2968",
      umber: "#845327",
      steel: "#586276",
    },
    pattern: { opacity: 0.5, scale: 1.4 },
    texture: "",
    lines: 1.4,
  },
  copper: {
    family: "hyperlegible",
    heading: "fraunces",
    paper: "#F2F8F4",
    ink: "#12312B",
    quiet: "#425F56",
    ridge: "#84461F",
    ridgeInk: "#FFF8EF",
    tick: "#EBBB90",
    sun: "#F4C04E",
    today: "#8A2F63",
    colours: {
      verdigris: "#186A5B",
      copper: "#9E4A1E",
      plum: "#654488",
      river: "#225D92",
      moss: "#506B1B",
      rose: "#98335A",
      umber: "#6D4A2C",
      steel: "#48605F",
    },
    pattern: PATTERN,
    texture: "linen",
    lines: 1,
  },
  concrete: {
    family: "archivo",
    heading: "archivo",
    paper: "#F8F8F6",
    ink: "#1C1C1C",
    quiet: "#545454",
    ridge: "#2A2A2A",
    ridgeInk: "#FFFFFF",
    tick: "#BDBDBD",
    sun: "#F2C230",
    today: "#1C1C1C",
    // Without colour: patterns alone tell categories apart, on paper too.
    colours: {
      verdigris: "#2F2F2F",
      copper: "#5C5C5C",
      plum: "#3F3F3F",
      river: "#686868",
      moss: "#4A4A4A",
      rose: "#262626",
      umber: "#575757",
      steel: "#636363",
    },
    pattern: { opacity: 0.62, scale: 1.15 },
    texture: "stipple",
    lines: 1,
  },
  iron: {
    family: "hyperlegible",
    heading: "oswald",
    paper: "#14191C",
    ink: "#EEF2F2",
    quiet: "#A9B8BC",
    ridge: "#B9C6C9",
    ridgeInk: "#14191C",
    tick: "#5A6A70",
    sun: "#F2B632",
    today: "#FF9B6A",
    colours: {
      verdigris: "#5CC9B5",
      copper: "#F0855A",
      plum: "#B79AE8",
      river: "#7DB4F0",
      moss: "#B4CF5C",
      rose: "#F08AAE",
      umber: "#D0A57E",
      steel: "#A9BBC4",
    },
    pattern: { opacity: 0.5, scale: 1 },
    texture: "",
    lines: 1.1,
  },
};
