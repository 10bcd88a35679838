/** What is said of places and of the map. */
export const WORDS = {
  map: "Map",
  untitled: "Untitled",
  place: "Place",
  whereItHappened: "where it happened",
  found: (n: number) => (n === 1 ? "1 suggestion" : `${n} suggestions`),
  onTheMap: "On the map",
  setOnMap: "Set it on the map",
  within: (country: string) => `${country}: its place on the map; your words stay`,
  callIt: (town: string, km: number) => (km < 2 ? `Call it ${town}` : `Call it ${town}, ${km} km away`),
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
  here: (n: number) => (n === 1 ? "1 event here" : `${n} events here`),
  without: (n: number) => (n === 1 ? "1 event has no place on the map." : `${n} events have no place on the map.`),
  whichMap: "Which map",
  world: "World",
  ownMap: "The timeline's map",
  noneOnOwn:
    "No event stands on the timeline's map yet. Open an event and set it there; or tie the map to the world, and every event with a place within it stands on it.",
  withoutOwn: (n: number) =>
    n === 1 ? "1 event does not stand on the timeline's map." : `${n} events do not stand on the timeline's map.`,
  ownMapOf: (n: number) =>
    `The timeline's map with ${n === 1 ? "1 event" : `${n} events`}; the list under it has the same.`,
  ownMapHelp:
    "A picture can be the map of the timeline: an old plan, a floor plan, a map you drew. Events are set on it by pressing.",
  useAPicture: "Use a picture as the map",
  useAnother: "Use another picture",
  ownMapFile: "A picture as the timeline's map: choose a file",
  ties: "Tied to the world",
  tiesHelp:
    "Two or three points whose place on the earth is known tie the map to the world: then both maps show the same events. Three also straighten a map that is aslant.",
  notTied: (n: number) =>
    n === 0
      ? "Not tied."
      : n === 1
        ? "One point is tied; it takes a second one."
        : "These points do not tell how the map lies: they are on one spot or in one line. Tie another one.",
  tied: (n: number) => `Tied by ${n} points.`,
  tieOf: (n: number) => `Point ${n}`,
  addATie: "Tie a point",
  tieTitle: "A point of the map on the earth",
  tieStep: "Press the point on the timeline's map, then say where on the earth it is: a town, or coordinates.",
  tieWhere: "Where on the earth it is",
  tieExample: "a town, or 51.508, -0.126",
  tieIt: "Tie it",
  noSuchPlace: (text: string) =>
    `No town of the name “${text}” is known here, and coordinates look like 51.508, -0.126. Nothing was tied.`,
  untie: (n: number) => `Untie point ${n}`,
  across: "Across the map, percent",
  down: "Down the map, percent",
  setOnOwn: "Set it on the timeline's map",
  moveOnOwn: "Move it on the timeline's map",
  takeOffOwn: "Take it off the timeline's map",
  onOwnByPlace: "It stands on the timeline's map by its place on the earth.",
  chooseOnOwn: "Where on the timeline's map it happened",
  chooseOnOwnHelp: "Press the map, or set it by numbers. Drag moves the map, the wheel or two fingers draw it nearer.",
  takeSpot: "Take this spot",
  moveWindow: "Move the window along",
  earlier: "Window earlier",
  later: "Window later",
  mapOf: (n: number) =>
    `A map of the world with ${n === 1 ? "1 place" : `${n} places`}; the list under it has the same.`,
} as const;
