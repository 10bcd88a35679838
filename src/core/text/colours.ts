/** The colours of the house, which categories and words may have (see docs/architecture.md, "Colours"); white text on each reaches 4.5:1. */
export const COLOURS = {
  verdigris: "#0B6E69",
  copper: "#B4481E",
  plum: "#6A3D9A",
  river: "#1F5FA8",
  moss: "#56751A",
  rose: "#A62B5F",
  umber: "#6B4B3A",
  steel: "#4A6572",
} as const;
export type Colour = keyof typeof COLOURS;
