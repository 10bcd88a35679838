import type { LookName, Sign } from "@/core/timeline/looks";
import type { Marks, SOURCE, SourceKind, Spot, ValuesOf } from "@/core/timeline/fields";

/** The made-up world of the demo: the river Ambrel and the town of Ambrelford. No person, place or school is real. */

export interface DemoEvent {
  when: string;
  title: string;
  short?: string;
  category?: string;
  text?: string[];
  picture?: { name: string; shows: string };
  film?: { file: string; title: string; still: string };
  sound?: { title: string };
  /** Where it stands on the map of the timeline, percent. */
  onMap?: [x: number, y: number];
  /** A film that stays at the stand-in of another site, with a still of ours. */
  elsewhere?: { film: string; still: string };
  source?: string | { of: string; page?: string; quote?: string };
  link?: { text: string; address: string };
  partOf?: string;
  important?: true;
  sign?: Sign;
  /** Its picture stands in place of its bob. */
  pictureBob?: true;
  /** Its parts in a close-up, whatever the room; or never. */
  closeUp?: "open" | "closed";
  done?: number;
  /** Where its label was placed by hand. */
  spot?: Spot;
}

/** A source that events name by its key; `date` as it is typed. */
export type DemoSource = { kind: SourceKind; title: string; date?: string } & Partial<
  Omit<ValuesOf<typeof SOURCE>, "kind" | "title" | "date">
>;

export interface DemoTimeline {
  key: string;
  title: string;
  subject: string;
  byline?: string;
  introduction: string[];
  scale?: "balanced" | "true" | "even";
  /** What it is built of; left out: as the house has it. */
  look?: LookName;
  cover?: { name: string; shows: string };
  /** What its map shows; the map itself is drawn. */
  map?: { shows: string };
  categories: [name: string, colour: string, pattern: string][];
  events: DemoEvent[];
  sources?: Record<string, DemoSource>;
  publish?: "link" | "everybody";
  /** The word of its short link; others may show it in their pages, and begin with it. */
  word?: string;
  gridlines?: true;
  marks?: Marks;
  lengths?: true;
  today?: true;
  /** A day of hours: its times have no date. */
  hours?: true;
}

const AMBREL: DemoTimeline = {
  key: "ambrel",
  title: "How the Ambrel was crossed",
  subject: "Local history",
  byline: "Nia and Obi",
  introduction: [
    "For three thousand years people have wanted to get to the other side of the Ambrel, and for most of that time they got wet doing it.",
    "This timeline follows every way across: the ford stones, the rope ferry, three bridges and the viaduct, up to the last crossing of the ferry in 1931. The night of 14 November 1872 is told hour by hour.",
  ],
  cover: {
    name: "stone-bridge",
    shows: "A cart and two walkers cross the stone bridge with its four arches; the church stands behind.",
  },
  map: {
    shows:
      "The Ambrel from above: it winds from north to south through Ambrelford, with ford stones, rope ferry, the bridge, mills on both banks, the church in the west, and the viaduct in the north.",
  },
  sources: {
    dig: {
      kind: "book",
      title: "The ford below the church: fourth report of the dig",
      authors: ["Marrable, Edith"],
      publisher: "Ambrelford Museum",
      place: "Ambrelford",
      date: "1962",
    },
    abbey: {
      kind: "archive",
      title: "Abbey roll 7",
      within: "Records of Ambrel Abbey",
      place: "Hollinshire Archive",
      date: "c. 1290",
      callNumber: "HA 2/7",
    },
    diary: {
      kind: "archive",
      title: "Diary of the west mill",
      authors: ["Tolley, Josiah"],
      within: "Mill papers",
      place: "Hollinshire Archive",
      date: "1719",
      callNumber: "HA 14/3",
    },
    accounts: {
      kind: "archive",
      title: "Accounts of the building of the stone bridge",
      authors: ["Ambrelford Bridge Trust"],
      within: "Bridge Trust papers",
      place: "Hollinshire Archive",
      date: "1811 - 1816",
      callNumber: "HA 20/1",
    },
    log: {
      kind: "archive",
      title: "Log of the town school",
      within: "School papers",
      place: "Hollin Bank School",
      date: "1868 - 1901",
    },
    post: {
      kind: "newspaper",
      title: "The long night",
      within: "The Ambrel Post",
      issue: "3914",
      date: "16 Nov 1872",
    },
    keeper: {
      kind: "interview",
      title: "Statement of the bridge keeper",
      authors: ["Penhallow, Amos"],
      within: "Inquiry into the flood",
      date: "20 Nov 1872",
    },
    last: {
      kind: "newspaper",
      title: "The ferry’s last crossing",
      authors: ["Ferris, Dora"],
      within: "The Ambrel Post",
      issue: "6982",
      date: "3 Oct 1931",
      pages: "1",
    },
  },
  publish: "everybody",
  word: "over-the-ambrel",
  categories: [
    ["Crossing", "verdigris", "solid"],
    ["Trade", "copper", "slanted"],
    ["Town life", "plum", "dots"],
    ["Weather & water", "river", "waves"],
  ],
  events: [
    {
      when: "about 1200 BC",
      title: "Ford stones are laid across the Ambrel",
      onMap: [43.6, 67],
      short: "Ford stones laid",
      category: "Crossing",
      important: true,
      picture: {
        name: "ford-stones",
        shows: "Two people step from stone to stone across a wide, low river at sunrise.",
      },
      text: [
        "Eight flat stones, each heavier than three people could lift, were set in a line where the river is widest and shallowest.",
        "Charcoal found under the fourth stone gives the date; it could be half a century out either way.",
      ],
      source: { of: "dig", page: "11" },
    },
    {
      when: "310 BC",
      title: "A hoard of bronze rings is dropped at the ford",
      onMap: [42.6, 69],
      short: "Bronze rings lost at the ford",
      category: "Trade",
      text: ["Twenty-two rings on a rotted cord. Whoever lost them was walking towards the east bank."],
      source: "Ambrelford Museum, case 2",
    },
    {
      when: "AD 96",
      title: "A road is paved down to the ford",
      onMap: [36, 64],
      category: "Crossing",
      text: ["The road's edge stones can still be seen at low water behind the mill."],
      source: "Survey of the old road, sheet 3",
    },
    {
      when: "12th century",
      title: "The ford has a keeper, paid in eels",
      onMap: [46.4, 65.5],
      short: "A keeper for the ford",
      category: "Town life",
      text: ["The abbey's rolls name the payment but never the keeper."],
      source: { of: "abbey", page: "lines 40 to 44" },
    },
    {
      when: "about 1604",
      title: "Rope ferry licensed to the Tolley family",
      onMap: [41, 32.5],
      sign: "boat",
      category: "Crossing",
      important: true,
      picture: { name: "rope-ferry", shows: "Three people cross the river in a flat boat hauled along a rope." },
      text: [
        "The licence allowed one boat of no more than twenty feet, a rope of the best hemp, and a fare of a farthing a head and a penny a cow.",
        "The Tolleys held it for three hundred and twenty-seven years.",
      ],
      source: "County roll 12",
    },
    {
      when: "1631 - about 1702",
      title: "Tolls paid in salt",
      onMap: [36, 31],
      category: "Trade",
      picture: {
        name: "salt-tolls",
        shows: "Sacks of salt stand in front of the toll house; a loaded cart drives off.",
      },
      text: [
        "Coin was short in the valley, and salt kept its worth. The toll house had a scale for it until about 1702.",
      ],
      source: "Toll book, volumes 1 to 3",
    },
    {
      when: "May 1688",
      title: "The market moves to the east bank",
      onMap: [60.5, 54],
      short: "Market moves east",
      category: "Trade",
      picture: { name: "market", shows: "Four striped market stalls in front of the church." },
      source: "Market charter, copy of 1702",
    },
    {
      when: "Jan 1719",
      title: "Carts cross on the ice",
      pictureBob: true,
      onMap: [46, 41],
      category: "Weather & water",
      picture: { name: "carts-on-ice", shows: "Two horse carts cross the frozen river in snow." },
      text: ["For nineteen days the ferry lay frozen in and nobody paid a toll."],
      source: { of: "diary", quote: "They have begun upon the piers, and we grind by night." },
    },
    {
      when: "1744 - 1783",
      title: "Timber bridge",
      onMap: [47.3, 47],
      category: "Crossing",
      picture: { name: "timber-bridge", shows: "A cart and a walker on a long timber bridge on five piers." },
      text: ["Built of oak from the abbey wood in one summer, by subscription."],
      source: "Subscribers' list, 1743",
    },
    {
      when: "1766",
      title: "Bridge school opens",
      onMap: [48.2, 48.5],
      sign: "book",
      category: "Town life",
      picture: {
        name: "bridge-school",
        shows: "A small school house stands in the middle of the timber bridge; three children wait at the door.",
      },
      text: ["The bridge belonged to neither bank, so neither parish could tax the school."],
      source: "Parish letter book, 1766",
    },
    {
      when: "1766 - 1880",
      title: "School on the bridge",
      onMap: [49, 47.5],
      category: "Town life",
      text: ["On the timber bridge first, then on the stone one; never once on dry land."],
      source: { of: "log" },
    },
    {
      when: "19 Mar 1783",
      title: "Spring flood takes two arches",
      onMap: [49.8, 49],
      category: "Weather & water",
      film: {
        file: "spring-flood.webm",
        title: "The spring flood of 1783, as the flood stones describe it",
        still: "spring-flood",
      },
      picture: { name: "spring-flood", shows: "Brown flood water has carried the middle of the timber bridge away." },
      text: [
        "The water rose nine feet in one night. The school's bell was found in June, two miles down, in a field of beans.",
      ],
      source: "Flood stone survey",
    },
    {
      when: "1797",
      title: "The Ambrel Post, first issue",
      onMap: [66, 57],
      sign: "book",
      category: "Town life",
      picture: { name: "press", shows: "A wooden printing press with a printer and a stack of fresh sheets." },
      text: ["Four pages every Saturday, printed in the room above the toll house."],
      source: "Ambrel Post, no. 1",
    },
    {
      when: "1811 - 1815",
      title: "Stone bridge is built",
      onMap: [48.4, 46.5],
      category: "Crossing",
      important: true,
      picture: { name: "stone-bridge", shows: "The stone bridge with its four arches." },
      text: [
        "Four arches of grey stone from the quarry at Hollin Bank. It was to last, wrote the builder, “until the river tires of it”.",
      ],
      source: { of: "accounts" },
    },
    {
      when: "about 1838 - 1905",
      title: "Barge trade at its height",
      onMap: [51.4, 63],
      category: "Trade",
      picture: { name: "barge-trade", shows: "Three sailing barges on the river at sunset." },
      text: ["Grain down, coal up, and in August the whole town to the sea and back for a shilling."],
      source: "Lock keeper's books",
    },
    {
      when: "1840s",
      title: "Steam mill on the east bank",
      onMap: [56, 60],
      category: "Trade",
      picture: { name: "steam-mill", shows: "A brick mill with a smoking chimney and a water wheel." },
      text: [
        "The boiler's plate says 1846, the rate book first charges the mill in 1849, and its owner's memoir says “when I was a boy”. So: some time in the 1840s.",
      ],
      source: "Rate books 1840 to 1850",
    },
    {
      when: "14 Nov 1872 16:00 - 15 Nov 1872 06:00",
      title: "The long night flood",
      onMap: [46, 56],
      sign: "drop",
      category: "Weather & water",
      important: true,
      picture: {
        name: "night-flood",
        shows: "At night, in heavy rain, two people with a lantern row past the broken stone bridge.",
      },
      sound: { title: "The bell of St Aldith's, rung by hand until dawn" },
      text: [
        "Rain fell on frozen ground for three days before the river rose. By ten in the evening the east quay was under water and the bell was rung by hand until dawn.",
        "Nobody drowned. The Post counted forty-one rescued, six cows and a piano.",
      ],
      source: { of: "post", page: "2" },
      link: { text: "Flood stones of the valley", address: "https://floodstones.example/ambrel" },
    },
    {
      when: "14 Nov 1872 16:00",
      title: "Rain gauge overflows",
      onMap: [32, 53],
      category: "Weather & water",
      partOf: "The long night flood",
      source: { of: "log", page: "14 Nov 1872" },
    },
    {
      when: "14 Nov 1872 19:30",
      title: "Bell rung",
      onMap: [36.4, 63],
      sign: "bell",
      category: "Town life",
      partOf: "The long night flood",
      source: "Ringers' book",
    },
    {
      when: "14 Nov 1872 22:10",
      title: "East quay under water",
      onMap: [51.4, 58],
      category: "Weather & water",
      partOf: "The long night flood",
      source: { of: "post", page: "2" },
    },
    {
      when: "14 Nov 1872 22:50 - 15 Nov 1872 00:40",
      title: "The bridge gives way",
      onMap: [47.6, 48.8],
      closeUp: "closed",
      category: "Crossing",
      partOf: "The long night flood",
      text: ["Arch by arch, from the east bank. The keeper's lamp was still burning on the last pier at one."],
      source: { of: "keeper" },
    },
    {
      when: "14 Nov 1872 22:50",
      title: "First arch falls",
      onMap: [45.8, 47.6],
      category: "Crossing",
      partOf: "The bridge gives way",
      source: { of: "keeper" },
    },
    {
      when: "14 Nov 1872 23:25",
      title: "Second arch falls",
      onMap: [49.4, 47.6],
      category: "Crossing",
      partOf: "The bridge gives way",
      source: { of: "keeper" },
    },
    {
      when: "15 Nov 1872 00:40",
      title: "The toll house goes",
      onMap: [43.4, 46.6],
      category: "Town life",
      partOf: "The bridge gives way",
      source: { of: "post", page: "2" },
    },
    {
      when: "15 Nov 1872 01:45",
      title: "Two boats out",
      onMap: [50.5, 66],
      category: "Town life",
      partOf: "The long night flood",
      source: { of: "post", page: "3", quote: "No lamp was seen on the bridge after ten." },
    },
    {
      when: "Jul 1889",
      title: "Viaduct carries the first train",
      onMap: [40, 14.6],
      category: "Crossing",
      picture: { name: "viaduct", shows: "A steam train with four carriages on a tall brick viaduct." },
      text: ["The first train was late by eleven minutes. The Post called it a triumph of punctuality."],
      source: "Line ledger",
    },
    {
      when: "2 - 5 Feb 1900",
      title: "Frost fair between the bridges",
      onMap: [44, 36],
      category: "Town life",
      text: ["Four days of stalls and skating on the last ice the river has borne."],
      source: "Ambrel Post, no. 5331",
    },
    {
      when: "27 Sep 1931",
      title: "Last ferry crossing",
      onMap: [44.4, 33.4],
      sign: "boat",
      category: "Crossing",
      important: true,
      picture: {
        name: "last-ferry",
        shows: "The ferry with four people crosses at sunset; others watch from both banks.",
      },
      text: ["Ada Tolley took the last fare at dusk: a farthing a head, as licensed."],
      source: { of: "last" },
    },
  ],
};

const BEES: DemoTimeline = {
  key: "bees",
  look: "plaster",
  title: "A year with the bees",
  subject: "A personal year",
  introduction: ["Four hives behind the greenhouse, from the first warm day to the last honey. My own notes."],
  cover: { name: "hives", shows: "Four painted hives on a flowering meadow with bees around them." },
  scale: "true",
  gridlines: true,
  categories: [
    ["In the hive", "copper", "slanted"],
    ["Outside", "moss", "uprights"],
    ["Honey", "umber", "dots"],
  ],
  events: [
    {
      when: "9 Mar 2025",
      title: "First flight",
      category: "Outside",
      text: ["Twelve degrees in the sun, and suddenly the air was full of them."],
    },
    { when: "22 Mar 2025 - 4 Apr 2025", title: "Willow in flower", category: "Outside" },
    {
      when: "30 Mar 2025",
      title: "First look into all four hives",
      category: "In the hive",
      text: ["Brood on three frames in the yellow one, two in the green, none yet in the blue."],
    },
    { when: "17 Apr 2025", title: "Second box on the yellow hive", category: "In the hive" },
    { when: "26 Apr 2025 - 20 May 2025", title: "Rape in flower", category: "Outside" },
    { when: "8 May 2025", title: "Queen cells, seven of them", category: "In the hive", important: true },
    {
      when: "11 May 2025 10:40",
      title: "Swarm leaves",
      category: "In the hive",
      picture: { name: "swarm", shows: "A dark cluster of bees hangs in a round tree; many more are in the air." },
    },
    { when: "11 May 2025 13:15", title: "Swarm in the apple tree", category: "Outside" },
    {
      when: "11 May 2025 18:30",
      title: "Swarm housed",
      category: "In the hive",
      text: ["One knock, and most of them fell into the box. The rest walked in behind their queen."],
    },
    { when: "1 Jun 2025", title: "First honey, eleven jars", category: "Honey", important: true },
    { when: "14 Jun 2025 - 6 Jul 2025", title: "Lime in flower", category: "Outside", sign: "leaf" },
    { when: "12 Jul 2025", title: "Lime honey, thirty-one jars", category: "Honey" },
    { when: "27 Jul 2025", title: "Treated against mites", category: "In the hive" },
    { when: "Aug 2025 - Sep 2025", title: "Feeding", category: "In the hive" },
    { when: "5 Oct 2025", title: "Mouse guards on", category: "In the hive" },
    { when: "about 20 Oct 2025", title: "Last ivy honey comes in", category: "Honey" },
  ],
};

const VALLEY: DemoTimeline = {
  key: "valley",
  look: "limestone",
  title: "The making of the Ambrel valley",
  subject: "Geology",
  introduction: [
    "From the first solid rock to the river's last change of bed. Most dates are known to a few million years; the drawing says so.",
  ],
  cover: { name: "strata", shows: "A cut through the valley's ground: layers of many colours with fossils in them." },
  publish: "link",
  categories: [
    ["Rock", "umber", "grid"],
    ["Water", "river", "waves"],
    ["Life", "moss", "dots"],
    ["Ice", "steel", "uprights"],
  ],
  events: [
    { when: "4.6 billion years ago", title: "The earth forms", category: "Rock" },
    {
      when: "about 560 million years ago",
      title: "Oldest rock of the valley",
      category: "Rock",
      text: ["The grey floor of the quarry at Hollin Bank."],
    },
    { when: "430 million years ago - 400 million years ago", title: "Mountains rise and wear down", category: "Rock" },
    {
      when: "360 million years ago - 325 million years ago",
      title: "Warm shallow sea",
      category: "Water",
      important: true,
      picture: { name: "warm-sea", shows: "Three shelled creatures swim over a sandy sea floor in beams of light." },
    },
    { when: "about 310 million years ago", title: "Forest swamps become coal", category: "Life" },
    { when: "250 million years ago", title: "Most living things die out", category: "Life" },
    { when: "240 million years ago - 210 million years ago", title: "Red desert sands", category: "Rock" },
    {
      when: "168 million years ago",
      title: "Footprints in the mud of Ambrelford quarry",
      short: "Footprints in the mud",
      category: "Life",
    },
    { when: "66 million years ago", title: "A thin dark layer of clay", category: "Rock" },
    { when: "about 2.6 million years ago", title: "First ice", category: "Ice" },
    {
      when: "450,000 BP",
      title: "Ice fills the valley",
      category: "Ice",
      important: true,
      picture: { name: "glacier", shows: "A glacier flows between three peaks." },
    },
    { when: "29,000 BP - 15,000 BP", title: "Last ice sheet", category: "Ice" },
    {
      when: "about 12,000 BP",
      title: "The lake breaks out and the Ambrel begins",
      short: "The Ambrel begins",
      category: "Water",
      important: true,
    },
    { when: "about 7,000 BP", title: "Oak woods", category: "Life" },
    {
      when: "14 Nov 1872",
      title: "The river moves its bed eighty steps east",
      short: "New river bed",
      category: "Water",
    },
  ],
};

const PLAY: DemoTimeline = {
  key: "play",
  look: "iron",
  title: "Play week",
  subject: "A project",
  introduction: ["What has to happen before the curtain goes up, in order. The dates come when the hall is booked."],
  scale: "even",
  lengths: true,
  today: true,
  cover: { name: "stage", shows: "A stage with red curtains, a painted bridge by night and two actors." },
  categories: [
    ["Stage", "rose", "steps"],
    ["Actors", "plum", "dots"],
    ["Audience", "verdigris", "solid"],
  ],
  events: [
    { when: "", title: "Choose the play", category: "Actors" },
    { when: "", title: "Give out the parts", category: "Actors" },
    { when: "", title: "Learn act one", category: "Actors" },
    { when: "", title: "Draw the set", category: "Stage" },
    {
      when: "",
      title: "Build the bridge",
      category: "Stage",
      text: ["It has to carry three people and come down in act four."],
    },
    { when: "", title: "First run without books", category: "Actors" },
    { when: "", title: "Sew the costumes", category: "Stage" },
    { when: "", title: "Posters up", category: "Audience" },
    { when: "4 May 2026 - 29 May 2026", title: "Paint the backdrop", category: "Stage", done: 60 },
    { when: "1 Jun 2026 - 7 Jun 2026", title: "Hang the lights", category: "Stage", done: 20 },
    { when: "8 Jun 2026", title: "Hall is ours", category: "Stage" },
    { when: "9 Jun 2026 16:00", title: "Lights and sound", category: "Stage" },
    { when: "10 Jun 2026 15:00", title: "Dress rehearsal", category: "Actors", important: true },
    {
      when: "11 Jun 2026 19:00",
      title: "First night",
      category: "Audience",
      important: true,
      picture: { name: "stage", shows: "The stage on the first night." },
    },
    { when: "12 Jun 2026 19:00", title: "Second night", category: "Audience" },
    { when: "13 Jun 2026", title: "Take everything down", category: "Stage" },
  ],
};

const HOUSE: DemoTimeline = {
  key: "house",
  publish: "everybody",
  look: "brick",
  title: "The tenants of Bridge House",
  subject: "Family history",
  introduction: ["One house, three centuries, eleven households, as far as the rate books and the letters go."],
  cover: { name: "bridge-house", shows: "A tall yellow house with eight windows and a green door." },
  categories: [
    ["Household", "plum", "solid"],
    ["Building", "umber", "grid"],
    ["Event in the family", "rose", "dots"],
  ],
  events: [
    {
      when: "1747",
      title: "Bridge House is built",
      category: "Building",
      important: true,
      picture: { name: "bridge-house", shows: "Bridge House from the street." },
    },
    { when: "1747 - 1771", title: "The Marlowes, rope makers", category: "Household" },
    { when: "1771 - about 1790", title: "Widow Pell and her lodgers", category: "Household" },
    { when: "before 1790", title: "A second chimney", category: "Building" },
    { when: "about 1790 - 1812", title: "The Tolleys, ferry keepers", category: "Household" },
    {
      when: "1798?",
      title: "Ada Tolley the elder is born",
      short: "Ada Tolley\nthe elder is born",
      category: "Event in the family",
      spot: { along: -48, across: -180 },
    },
    { when: "1812 - 1838", title: "The bridge builder Ansel Grave", category: "Household" },
    { when: "1838 - 1869", title: "Grave and Daughter, printers", category: "Household" },
    {
      when: "14 Nov 1872",
      title: "Water to the third stair",
      elsewhere: { film: "spring-flood", still: "spring-flood" },
      category: "Building",
      spot: { along: -190, across: 150 },
      text: ["The mark is still there under the paint."],
    },
    { when: "1869 - 1901", title: "Two households, one on each floor", category: "Household" },
    {
      when: "spring 1884",
      title: "A wedding with forty guests",
      category: "Event in the family",
      spot: { along: 24, across: 46 },
    },
    { when: "1901 - 1940s", title: "The Tolleys again", category: "Household" },
    { when: "after 1931", title: "The ferry's rope is hung in the hall", category: "Event in the family" },
    { when: "from 1958", title: "Town library", category: "Household" },
  ],
};

const FAIR: DemoTimeline = {
  key: "fair",
  publish: "everybody",
  look: "oak",
  title: "Fair day at Hollin Bank",
  subject: "A school day",
  introduction: ["Who had to be where, and when. Written on the day after, from the notes on the kitchen door."],
  scale: "true",
  hours: true,
  categories: [
    ["Building up", "umber", "uprights"],
    ["The fair", "verdigris", "solid"],
    ["Food", "copper", "slanted"],
  ],
  events: [
    { when: "5:40", title: "Ovens lit", category: "Food" },
    { when: "6:15 - 8:40", title: "Stalls go up in the yard", category: "Building up" },
    { when: "7:05", title: "Tables carried over from the hall", category: "Building up" },
    {
      when: "9:00",
      title: "The bell, and the gate opens",
      category: "The fair",
      important: true,
      sound: { title: "The bell of the bridge school" },
    },
    { when: "9:30 - 12:30", title: "Boat race in the weir pool", category: "The fair" },
    { when: "about 11:20", title: "The rain, a quarter of an hour", category: "The fair" },
    { when: "12:00 - 14:00", title: "Soup for two hundred", category: "Food" },
    { when: "13:10", title: "Ward's class wins the rope pull", category: "The fair", important: true },
    { when: "15:00", title: "Last cake sold", category: "Food" },
    { when: "15:30 - 17:20", title: "Everything down again", category: "Building up" },
    { when: "17:45", title: "Counted: four hundred and eleven crowns", category: "The fair" },
  ],
};

export const DEMO: readonly DemoTimeline[] = [AMBREL, BEES, VALLEY, PLAY, HOUSE, FAIR];
