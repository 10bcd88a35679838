/** What is said of places and of the map. */
export const WORDS = {
  map: "Map",
  untitled: "Untitled",
  place: "Place",
  whereItHappened: "where it happened",
  found: (n: number) => (n === 1 ? "1 suggestion" : `${n} suggestions`),
  onTheMap: "On the map",
  setOnMap: "Set it on the map",
  moveOnMap: "Move it on the map",
  takeOff: "Take it off the map",
  chooseTitle: "Where it happened",
  chooseHelp: "Press the map, or write coordinates. Drag moves the map, the wheel or two fingers draw it nearer.",
  coordinates: "Coordinates",
  coordinatesExample: "51.508, -0.126",
  noCoordinates: (text: string) =>
    `“${text}” are no coordinates. Write latitude and longitude, like 51.508, -0.126 or 51°30′N 0°8′W. Nothing was altered.`,
  noLatitude: (text: string) =>
    `“${text}” lies nowhere on the earth: a latitude reaches from 90 degrees south to 90 north. Nothing was altered.`,
  noLongitude: (text: string) =>
    `“${text}” lies nowhere on the earth: a longitude reaches from 180 degrees west to 180 east. Nothing was altered.`,
  take: "Take this place",
  nearer: "Nearer",
  away: "Farther away",
  all: "Show all",
  mapHelp:
    "Events with a place on the map. Choose one in the list or on the map; drag the ends under the map to see what was when.",
  none: "No event has a place on the map yet. Open an event and write its place: towns are known by name; or set it on the map.",
  shown: (n: number, of: number) =>
    n === of ? `${of === 1 ? "1 event" : `${of} events`} on the map` : `${n} of ${of} events on the map`,
  window: "What is shown, from and to",
  from: "From",
  to: "To",
  play: "Play",
  stop: "Stop",
  whole: "All of it",
  here: (n: number) => `${n} events here`,
  without: (n: number) => (n === 1 ? "1 event has no place on the map." : `${n} events have no place on the map.`),
  mapOf: (n: number) =>
    `A map of the world with ${n === 1 ? "1 place" : `${n} places`}; the list under it has the same.`,
} as const;
