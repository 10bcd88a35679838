import type { Held } from "../../looks/facts";
import type { LookName, OwnTexture } from "../../timeline/looks";
import type { SignGroup } from "../../timeline/sign-names";

/** What is said of how a timeline looks. */
export const WORDS = {
  look: "Look",
  lookTitle: "How the timeline looks",
  looks: "Built of",
  pointToTry: "Point at one to try it on the chart; press it to keep it.",
  names: {
    slate: "Slate",
    limestone: "Limestone",
    brick: "Brick",
    oak: "Oak",
    glass: "Glass",
    plaster: "Plaster",
    copper: "Copper",
    concrete: "Concrete",
    iron: "Iron",
  } satisfies Record<LookName, string>,
  asTheLook: "as the look has it",
  behind: "Behind the chart",
  paper: "Paper",
  texture: "Texture",
  textures: {
    "": "as the look has it",
    plain: "none",
    linen: "linen",
    stipple: "stipple",
    courses: "courses of brick",
    veins: "veins of wood",
    tiles: "roof tiles",
  } satisfies Record<OwnTexture, string>,
  ownPicture: "A picture of my own",
  useAPicture: "Put a picture behind the chart",
  pictureFile: "A picture file for behind the chart",
  pictureHelp: "It is faded so far that words and lines can be told from it.",
  takePictureAway: "Take the picture away",
  strength: "How strongly it is seen",
  percent: (n: number) => `${n} %`,
  fit: "How it is placed",
  fits: { fill: "it fills the chart", whole: "all of it, in the middle" },
  whatIsSeen: "What of it is seen where it is cropped: across and down",
  lines: "Lines",
  lineWeights: { "-1": "finer", "0": "as usual", "1": "stronger" },
  labels: "What labels say",
  dates: "Dates",
  labelDates: { always: "always", unmarked: "where no mark of the ridge says the same", never: "never" },
  titles: "Titles",
  labelTitles: { always: "always", unpictured: "where there is no picture" },
  contrast: "Contrast",
  contrastHelp: "Worked out for everything that is written on this chart; at least 4.5 : 1 is kept.",
  ratio: (n: number) => `${(Math.floor(n * 10) / 10).toFixed(1)} : 1`,
  facts: {
    words: "Titles",
    quiet: "First words",
    ridge: "Dates on the ridge",
    category: (name: string) => name || "Unnamed",
    none: "Without a category",
    onRoof: "Titles on roofs, the least",
    overPicture: "Words over the picture, the least",
  },
  saved: "Saved looks",
  savedHelp:
    "With the colours and patterns of its categories, by their names. A picture behind the chart is not part of it.",
  noneSaved: "None yet.",
  saveThis: "Save this look",
  saveName: "Name of the look",
  saveFor: "For",
  forMe: "my other timelines",
  forClass: (name: string) => `the class ${name}`,
  ofClass: (name: string) => `class ${name}`,
  wear: "Wear",
  wearNamed: (name: string) => `Wear ${name}`,
  deleteNamed: (name: string) => `Delete ${name}`,
  nothingToChange: "This timeline looks so already.",
  savedNow: (name: string) => `Saved as "${name}".`,
  toFile: "Take out as a file",
  fromFile: "Bring in a file",
  lookFile: "A file with a look",
  faults: {
    no_json: "This file is not JSON, so no look could be read from it. Nothing was changed.",
    no_look: "This file holds JSON, but no look of Fastigo. Nothing was changed.",
    other_version: "This look was made by a newer Fastigo and cannot be read here. Nothing was changed.",
    broken:
      "This file has a value in it that no look has: a colour, a name or a number. Nothing was changed; take the look out again where it came from.",
    large: "A file with a look is smaller than 1 MB; this one was not read. Nothing was changed.",
  },
  seenBy: "Seen as",
  seenHelp: "Only how you look at it now: nothing is changed. Patterns must still tell categories apart.",
  seen: {
    all: "with all colours",
    grey: "in black and white",
    protan: "by somebody without red cones",
    deutan: "by somebody without green cones",
    tritan: "by somebody without blue cones",
  },
  sizes: "As readers see it",
  sizesTitle: (title: string) => `${title || "Untitled"}, as readers see it`,
  devices: { laptop: "Laptop", tablet: "Tablet", phone: "Phone" },
  deviceFrame: (name: string, width: number, height: number) => `${name}, ${width} by ${height}`,
  shown: "Shown",
  sideBySide: "side by side",
  inLook: "Look",
  ownLook: "its own",
  view: "View",
  viewNames: { begin: "the beginning", chart: "the chart", read: "the text", index: "the index" },
  backToEditor: "Back to the editor",
  colour: "Colour",
  ownColour: "of my own",
  asCategory: "as its category",
  chooseColour: (name: string) => `Colour of ${name}, of one's own`,
  loudnessOf: (name: string) => `How loud ${name} is`,
  loudness: { "-1": "quieter", "0": "as usual", "1": "louder" },
  itsLine: "Its line",
  labelSays: "Its label says",
  asOthers: "as the others do",
  ofItsOwn: "of its own",
  parts: { date: "date", title: "title", words: "first words", picture: "picture" },
  signGroups: {
    land: "Land and weather",
    building: "Building",
    going: "On the way",
    people: "People",
    power: "Power and law",
    works: "Art and science",
  } satisfies Record<SignGroup, string>,
  findASign: "Find a sign",
  noSuchSign: "No sign of this name.",
  noSign: "no sign",
};

/** What is shown otherwise than it was asked for, and why. */
export function heldText(h: Held): string {
  switch (h.of) {
    case "paper":
      return `The paper is ${h.shown} instead of ${h.wanted}: on that, neither dark nor light words could be read well.`;
    case "picture": {
      const [wanted, shown] = [h.wanted, h.shown].map((share) => Math.round(share * 100));
      return `The picture behind the chart was to be seen at ${wanted} %. It is shown at ${shown} %: stronger, words or lines could not be told from it.`;
    }
    case "category":
      return `${h.name || WORDS.facts.category("")} is shown as ${h.shown} instead of ${h.wanted}, so that its dates can be read on this paper.`;
  }
}

export const lookAlikeText = (one: string, other: string): string =>
  `${WORDS.facts.category(one)} and ${WORDS.facts.category(other)} look the same on the chart: give one of them another colour or pattern.`;
