// Long because every picture is many shapes.

import type { Drawn } from "../shelf-picture";
import {
  at,
  cloud,
  DAWN,
  DAY,
  disc,
  EVENING,
  ground,
  hills,
  line,
  many,
  oval,
  path,
  person,
  poly,
  rect,
  sea,
  sky,
  stars,
  sun,
  tree,
  W,
  wall,
  wheel,
} from "./shapes";

const smoke = (x: number, y: number, s: number, c = "#6E7074") =>
  many(5, (i) => disc(x + i * 26 * s, y - i * 34 * s, (20 + i * 9) * s, c, `opacity="${0.75 - i * 0.12}"`));
const chimney = (x: number, y: number, h: number) =>
  poly(`${x - 22},${y} ${x + 22},${y} ${x + 14},${y - h} ${x - 14},${y - h}`, "#9A5A44") +
  rect(x - 18, y - h - 10, 36, 14, "#7A4436") +
  smoke(x + 8, y - h - 24, 1);

/** From the first mills driven by steam to today, and what has no century. */
export const MODERN: Drawn[] = [
  {
    id: "mill-town",
    subject: "Industry",
    title: "A town of mills and chimneys",
    says: "Brick factories with smoking chimneys stand along a canal with barges.",
    words: "industrial revolution factory mill chimney smoke canal work town pollution steam",
    draw: () =>
      sky("#A8A5A0", "#E5D5B5") +
      [200, 420, 780, 1040].map((x, i) => chimney(x, 430, 250 + (i % 2) * 60)).join("") +
      [
        [60, 300, 300],
        [390, 340, 320],
        [740, 300, 400],
      ]
        .map(
          ([x, y, w]) =>
            rect(x!, y!, w!, 290, "#A8644C") +
            many(Math.floor(w! / 52) * 4, (i) =>
              rect(
                x! + 20 + (i % Math.floor(w! / 52)) * 50,
                y! + 24 + Math.floor(i / Math.floor(w! / 52)) * 64,
                28,
                40,
                i % 5 ? "#4E5C6A" : "#F5D98A",
              ),
            ) +
            many(Math.floor(w! / 80), (k) =>
              poly(`${x! + k * 80},${y} ${x! + 80 + k * 80},${y} ${x! + k * 80},${y! - 40}`, "#6E4A3E"),
            ),
        )
        .join("") +
      sea(590, "#5C7080", 5) +
      at(
        420,
        690,
        path("M-240 -40 H240 L210 30 H-210 Z", "#2F4A3E") +
          rect(-160, -80, 120, 44, "#A8342C") +
          many(9, (i) => disc(10 + i * 22, -44, 18, "#2A2A2A")),
      ) +
      rect(0, 740, W, 60, "#8A7A66") +
      person(900, 780, "#4E3B2C", 1.2) +
      person(980, 780, "#6B4B8A", 1.2),
  },
  {
    id: "spinning-room",
    subject: "Industry",
    title: "In a spinning room",
    says: "Rows of machines with spindles; women and a child work between them.",
    words: "factory textile cotton spinning machine women child labour work industrial revolution",
    draw: () =>
      wall("#D3CBB8", "#8A6A45", 560) +
      many(
        6,
        (i) =>
          rect(70 + i * 190, 60, 120, 240, "#CFE3EA", 'stroke="#6B4B3A" stroke-width="8"') +
          line(`M${130 + i * 190} 60 v240 M${70 + i * 190} 180 h120`, "#6B4B3A", 6),
      ) +
      rect(0, 20, W, 14, "#55585A") +
      [0, 1]
        .map(
          (r) =>
            rect(40 - r * 20, 470 + r * 130, 1160, 26, "#3B4A50") +
            many(
              20 - r * 4,
              (i) =>
                rect(70 + i * (54 + r * 14), 396 + r * 120, 20 + r * 5, 80, "#F7F2E2", 'rx="8"') +
                rect(76 + i * (54 + r * 14), 370 + r * 120, 8, 130, "#7A5636"),
            ) +
            many(4, (i) => rect(90 + i * 330, 490 + r * 130, 20, 90, "#2A3438")),
        )
        .join("") +
      line("M240 34 L300 470 M700 34 L640 600", "#4E3B2C", 9) +
      person(420, 740, "#1F5F8A", 1.9, { hair: "#EFE6D2" }) +
      person(760, 750, "#8E3A4A", 1.9, { hair: "#EFE6D2" }) +
      person(960, 750, "#6E675A", 1.2),
  },
  {
    id: "coal-mine",
    subject: "Industry",
    title: "Under the ground in a mine",
    says: "A miner with a lamp hews coal; a pony pulls a tub on rails.",
    words: "coal mine miner work energy industry underground pit",
    draw: () =>
      rect(0, 0, W, 800, "#26221F") +
      path("M0 220 Q300 150 600 200 T1200 180 V640 H0 Z", "#4A4038") +
      many(5, (i) => rect(60 + i * 260, 190, 26, 450, "#7A5636")) +
      many(4, (i) => rect(50 + i * 260, 176, 300, 26, "#6B4B3A")) +
      oval(330, 420, 210, 190, "#D9B25C", 'opacity=".28"') +
      path("M0 330 Q90 360 130 640 H0 Z", "#15120F") +
      many(14, (i) =>
        poly(
          `${110 + ((i * 43) % 130)},${620 - ((i * 31) % 60)} ${136 + ((i * 43) % 130)},${610 - ((i * 31) % 60)} ${130 + ((i * 43) % 130)},${640 - ((i * 31) % 60)}`,
          "#1E1A17",
        ),
      ) +
      person(300, 640, "#8A7A5A", 2, { hat: "#3B3A38", skin: "#B98A64" }) +
      disc(300, 376, 10, "#FBE7A8") +
      line("M330 480 L200 400", "#7A5636", 10) +
      line("M180 360 Q200 400 170 440", "#8E9192", 12) +
      ground(640, "#3B332C") +
      line("M0 690 H1200 M0 740 H1200", "#7C7F80", 9) +
      many(12, (i) => rect(20 + i * 104, 680, 20, 76, "#4E3B2C")) +
      at(
        940,
        700,
        path("M-110 -110 H110 L90 0 H-90 Z", "#55585A") +
          wheel(-50, 6, 26, "#2A2A2A", 6, 8) +
          wheel(50, 6, 26, "#2A2A2A", 6, 8) +
          many(9, (i) => disc(-84 + i * 21, -114 - (i % 2) * 10, 20, "#15120F")),
      ) +
      at(
        660,
        700,
        oval(0, -90, 86, 46, "#7A5A44") +
          [-60, -34, 40, 64].map((x) => rect(x, -70, 15, 72, "#6B4B3A")).join("") +
          path("M70 -110 Q96 -190 130 -180 L160 -140 L130 -128 Q116 -80 80 -70 Z", "#7A5A44"),
      ) +
      line("M740 630 L850 650", "#C9B88C", 5),
  },
  {
    id: "steam-train",
    subject: "Transport",
    title: "A steam train crosses a viaduct",
    says: "A locomotive with three carriages and a plume of steam on a bridge of arches.",
    words: "railway train locomotive steam travel bridge viaduct transport industrial revolution",
    draw: () =>
      DAY +
      cloud(960, 130, 1) +
      hills(420, 150, "#9DB58A", 6) +
      many(6, (i) =>
        path(
          `M${i * 210 - 20} 800 V430 H${i * 210 + 190} V800 H${i * 210 + 160} V540 A75 75 0 0 0 ${i * 210 + 10} 540 V800 Z`,
          "#A0705A",
        ),
      ) +
      rect(0, 410, W, 30, "#8A5C48") +
      rect(640, 330, 210, 66, "#1E4A3E", 'rx="24"') +
      rect(590, 270, 90, 126, "#1E4A3E") +
      rect(604, 288, 54, 44, "#F5E2A8") +
      rect(574, 258, 120, 16, "#A8342C") +
      rect(800, 270, 24, 62, "#2A2A2A") +
      rect(792, 262, 40, 14, "#2A2A2A") +
      disc(740, 326, 22, "#D9A832") +
      [630, 690, 750, 810].map((x) => wheel(x, 396, 24, "#A8342C", 6, 7)).join("") +
      poly("850,396 900,410 850,410", "#A8342C") +
      many(
        3,
        (i) =>
          rect(70 + i * 172, 300, 160, 92, ["#8E3A2A", "#2F4A7A", "#8E3A2A"][i]!, 'rx="8"') +
          many(3, (k) => rect(86 + i * 172 + k * 48, 318, 34, 36, "#F5E2A8")) +
          wheel(106 + i * 172, 396, 16, "#2A2A2A", 6, 6) +
          wheel(198 + i * 172, 396, 16, "#2A2A2A", 6, 6),
      ) +
      many(9, (i) =>
        disc(800 - i * 74, 230 - i * 14 + (i % 2) * 14, 30 + i * 6, "#FFFFFF", `opacity="${0.9 - i * 0.08}"`),
      ) +
      path("M0 740 Q600 690 1200 750 V800 H0 Z", "#7F9A5C") +
      tree(140, 780, 1.1) +
      tree(1010, 776, 0.9),
  },
  {
    id: "bicycles",
    subject: "Transport",
    title: "Bicycles, old and new",
    says: "A bicycle with a very large front wheel beside a safety bicycle.",
    words: "bicycle cycling wheel transport invention sport nineteenth century",
    draw: () =>
      wall("#EAF1EF", "#B7AD98", 640) +
      wheel(390, 470, 170, "#2F4A5A", 16, 11) +
      wheel(150, 600, 52, "#2F4A5A", 10, 9) +
      line("M390 300 Q250 320 150 600 M390 300 V470 M350 262 H450 M300 312 l-40 -16", "#16323A", 13) +
      oval(290, 300, 46, 13, "#8A5B3C") +
      wheel(740, 530, 112, "#A8342C", 14, 11) +
      wheel(1040, 530, 112, "#A8342C", 14, 11) +
      line(
        "M740 530 L830 370 H980 L1040 530 M830 370 L890 530 L980 370 M890 530 H740 M980 370 L960 320 M930 316 H1000 M830 370 L816 336",
        "#16323A",
        12,
      ) +
      oval(810, 330, 44, 12, "#8A5B3C") +
      disc(890, 530, 24, "none", 'stroke="#55585A" stroke-width="8"'),
  },
  {
    id: "first-flight",
    subject: "Transport",
    title: "An early aeroplane over a meadow",
    says: "A biplane of wood and cloth flies low over a meadow; people wave.",
    words: "aeroplane airplane flight aviation invention pilot transport twentieth century",
    draw: () =>
      DAY +
      cloud(200, 150, 1.2) +
      cloud(1000, 220, 1) +
      hills(560, 70, "#A8BE94", 4) +
      ground(600, "#8FA56A") +
      at(
        610,
        300,
        rect(-320, -80, 560, 20, "#F0E2C0", 'rx="9"') +
          rect(-320, 60, 560, 20, "#F0E2C0", 'rx="9"') +
          many(
            7,
            (i) =>
              line(`M${-300 + i * 86} -66 V66`, "#7A5636", 7) +
              (i < 6 ? line(`M${-300 + i * 86} -62 L${-214 + i * 86} 62`, "#A8A18C", 2) : ""),
          ) +
          path("M-60 40 Q40 10 300 26 L420 0 V60 L300 50 Q40 74 -60 54 Z", "#B98A5A") +
          rect(398, -60, 14, 120, "#F0E2C0") +
          line("M-90 -46 V130", "#5C3D22", 13) +
          person(40, 40, "#4E3B2C", 0.8) +
          wheel(-10, 130, 26, "#2A2A2A", 8, 7) +
          wheel(130, 130, 26, "#2A2A2A", 8, 7) +
          line("M-10 130 L20 76 M130 130 L100 76", "#5C3D22", 7),
        1,
        -7,
      ) +
      [180, 300, 420, 900, 1010]
        .map(
          (x, i) =>
            person(
              x,
              760 - (i % 2) * 20,
              ["#A8342C", "#1F5F8A", "#4E7F4A", "#6B4B8A", "#B4653C"][i]!,
              1.3,
              i % 2 ? { hat: "#2A2420" } : {},
            ) + line(`M${x + 18} ${660 - (i % 2) * 20} l26 -50`, "#E8C39E", 9),
        )
        .join(""),
  },
  {
    id: "street-of-cars",
    subject: "Transport",
    title: "Trams, cars and a policeman",
    says: "A tram and old cars meet at a crossing, where a policeman shows the way.",
    words: "car tram traffic street city transport twentieth century",
    draw: () =>
      sky("#C9DCE5", "#F3EBD9") +
      many(
        6,
        (i) =>
          rect(i * 205, 120 + (i % 3) * 40, 196, 420, ["#D9B98A", "#C9A28C", "#BFC9C0"][i % 3]!) +
          many(12, (k) =>
            rect(i * 205 + 22 + (k % 3) * 56, 150 + (i % 3) * 40 + Math.floor(k / 3) * 84, 34, 50, "#4E5C6A"),
          ),
      ) +
      ground(540, "#8E8A84") +
      line("M0 640 H1200 M0 690 H1200", "#55585A", 6) +
      line("M0 210 H1200", "#3B3A38", 3) +
      rect(90, 380, 430, 220, "#A8342C", 'rx="14"') +
      rect(90, 470, 430, 36, "#F0E2C0") +
      many(6, (i) => rect(112 + i * 68, 400, 50, 62, "#CFE3EA")) +
      line("M300 380 L340 212", "#3B3A38", 6) +
      [180, 430].map((x) => disc(x, 610, 30, "#2A2A2A")).join("") +
      [
        [780, "#1E4A3E"],
        [1030, "#2F4A7A"],
      ]
        .map(
          ([x, c]) =>
            path(
              `M${Number(x) - 120} 690 V640 Q${Number(x) - 60} 630 ${Number(x) - 50} 560 H${Number(x) + 50} L${Number(x) + 70} 636 L${Number(x) + 120} 650 V690 Z`,
              String(c),
            ) +
            rect(Number(x) - 36, 574, 34, 50, "#CFE3EA") +
            rect(Number(x) + 8, 574, 36, 50, "#CFE3EA") +
            wheel(Number(x) - 74, 694, 32, "#2A2A2A", 8, 9) +
            wheel(Number(x) + 76, 694, 32, "#2A2A2A", 8, 9),
        )
        .join("") +
      person(620, 770, "#16323A", 1.7, { hat: "#16323A" }) +
      line("M640 640 L720 620", "#FFFFFF", 15),
  },
  {
    id: "barricade",
    subject: "Revolutions",
    title: "A barricade in the street",
    says: "People with a flag stand on a pile of carts, barrels and stones.",
    words: "revolution uprising barricade freedom protest flag people street",
    draw: () =>
      sky("#C98F6C", "#F3DDB8") +
      [
        [0, 300],
        [860, 340],
      ]
        .map(
          ([x, w]) =>
            rect(x!, 100, w!, 540, "#8E8478") +
            many(12, (i) => rect(x! + 34 + (i % 3) * 96, 140 + Math.floor(i / 3) * 110, 48, 70, "#4A5058")),
        )
        .join("") +
      ground(620, "#8A8074") +
      path("M180 740 L300 560 L420 600 L560 470 L700 520 L820 590 L960 560 L1060 740 Z", "#6B5A48") +
      [
        [330, 640],
        [480, 590],
        [760, 620],
        [900, 660],
      ]
        .map(([x, y], i) =>
          at(
            x!,
            y!,
            path("M-40 -60 Q-52 0 -40 60 H40 Q52 0 40 -60 Z", "#8A5B3C") +
              line("M-44 -30 H44 M-46 30 H46", "#4E3B2C", 6),
            1,
            -20 + i * 26,
          ),
        )
        .join("") +
      wheel(620, 640, 74) +
      wheel(1000, 690, 56) +
      rect(520, 600, 220, 24, "#5C3D22", 'transform="rotate(-14 630 610)"') +
      [
        [430, 560, "#1F5F8A"],
        [570, 480, "#A8342C"],
        [700, 520, "#4E7F4A"],
        [830, 580, "#6B4B8A"],
      ]
        .map(([x, y, c]) => person(Number(x), Number(y), String(c), 1.4, { hat: "#2A2420" }))
        .join("") +
      line("M590 400 L640 130", "#5C3D22", 8) +
      path("M640 130 q60 -30 110 4 q50 26 100 -6 l-22 120 q-50 30 -100 0 q-50 -26 -104 6 Z", "#A8342C") +
      person(300, 770, "#7A5636", 1.5),
  },
  {
    id: "ballot",
    subject: "Law and government",
    title: "A vote is cast",
    says: "A hand puts a folded paper into a ballot box; people wait in a row.",
    words: "election vote democracy ballot parliament suffrage citizens government rights",
    draw: () =>
      wall("#DCE3EA", "#A89878", 620) +
      many(4, (i) => rect(60 + i * 290, 80, 210, 180, "#EFF3F1", 'stroke="#8A9AA0" stroke-width="6"')) +
      [180, 290, 400]
        .map((x, i) =>
          person(x, 700 - i * 16, ["#A8342C", "#4E7F4A", "#1F5F8A"][i]!, 2 - i * 0.12, {
            skin: ["#E8C39E", "#8A5B3C", "#C48A5C"][i]!,
            hair: ["#3B2A1C", "#1E1A18", "#7A5A3A"][i]!,
          }),
        )
        .join("") +
      rect(640, 430, 380, 290, "#7A5636") +
      rect(620, 410, 420, 36, "#5C3D22") +
      rect(740, 420, 180, 12, "#1E1512") +
      rect(680, 500, 300, 120, "#F0E2B4") +
      line("M760 556 l36 36 l84 -76", "#1E6B4A", 17) +
      rect(766, 300, 128, 128, "#FFFFFF") +
      line("M786 330 H870 M786 354 H850", "#8A9AA0", 6) +
      path("M830 300 Q850 200 960 190 L1200 120 V230 L990 280 Q920 300 890 330 Z", "#C48A5C") +
      rect(1080, 112, 130, 130, "#2F4A7A"),
  },
  {
    id: "suffrage-march",
    subject: "Revolutions",
    title: "A march for rights",
    says: "A large crowd marches through a street with three banners.",
    words: "protest march demonstration rights women suffrage equality civil movement",
    draw: () =>
      sky("#CFDDE6", "#F3EDE0") +
      many(
        5,
        (i) =>
          rect(i * 246, 90 + (i % 2) * 50, 236, 400, ["#C9B8A0", "#B8A8A0", "#D3C6AC"][i % 3]!) +
          many(9, (k) =>
            rect(i * 246 + 30 + (k % 3) * 66, 130 + (i % 2) * 50 + Math.floor(k / 3) * 100, 36, 60, "#5C6670"),
          ),
      ) +
      ground(490, "#A39C90") +
      many(26, (i) =>
        person(
          60 + i * 44,
          560 + (i % 3) * 24,
          ["#6B4B8A", "#F7F2E2", "#4E7F4A", "#8E3A4A", "#2F4A7A"][i % 5]!,
          1,
          i % 4 === 0 ? { hat: "#3B2C3A" } : {},
        ),
      ) +
      [
        [180, "#6B4B8A"],
        [560, "#4E7F4A"],
        [930, "#8E3A4A"],
      ]
        .map(
          ([x, c]) =>
            line(`M${Number(x) - 90} 640 V300 M${Number(x) + 90} 640 V300`, "#5C3D22", 8) +
            rect(Number(x) - 100, 290, 200, 110, String(c)) +
            rect(Number(x) - 76, 316, 152, 10, "#F7F2E2") +
            rect(Number(x) - 60, 340, 120, 10, "#F7F2E2") +
            rect(Number(x) - 70, 364, 140, 10, "#F7F2E2"),
        )
        .join("") +
      many(11, (i) =>
        person(90 + i * 104, 760, ["#2F4A7A", "#A8342C", "#F7F2E2", "#6B4B8A", "#7A5636", "#4E7F4A"][i % 6]!, 1.7, {
          skin: ["#E8C39E", "#C48A5C", "#8A5B3C"][i % 3]!,
          hair: ["#3B2A1C", "#1E1A18", "#A8783F"][i % 3]!,
        }),
      ),
  },
  {
    id: "trench",
    subject: "War and peace",
    title: "A trench and wire",
    says: "An empty trench with boards and wire under a grey sky; poppies grow at its edge.",
    words: "war first world war trench soldiers front wire remembrance",
    draw: () =>
      sky("#8E959C", "#CFC8B8") +
      hills(400, 40, "#7A745E", 4) +
      ground(430, "#857A5C") +
      [150, 420, 800, 1050]
        .map((x, i) =>
          line(`M${x} 470 L${x + (i % 2 ? 20 : -14)} 300 M${x} 380 l40 -40 M${x} 350 l-34 -36`, "#3B332C", 10),
        )
        .join("") +
      path("M0 560 Q300 500 600 540 T1200 520 V800 H0 Z", "#6E624A") +
      path("M0 620 Q300 570 600 600 T1200 590 L1200 800 H0 Z", "#4A3F30") +
      many(16, (i) => rect(20 + i * 76, 620 + Math.sin(i) * 8, 60, 130, "#7A6444")) +
      [0, 1, 2]
        .map((r) =>
          line(
            `M0 ${510 - r * 22} ${Array.from({ length: 20 }, (_, i) => `q30 ${i % 2 ? 22 : -22} 62 0`).join(" ")}`,
            "#2A2622",
            3,
          ),
        )
        .join("") +
      many(10, (i) => line(`M${60 + i * 122} 560 V440`, "#3B332C", 7)) +
      many(
        14,
        (i) =>
          disc(40 + i * 86, 560 + (i % 3) * 16, 10, "#C4342C") +
          disc(40 + i * 86, 560 + (i % 3) * 16, 3, "#2A2622") +
          line(`M${40 + i * 86} ${570 + (i % 3) * 16} v24`, "#4E7F4A", 3),
      ) +
      many(7, (i) => rect(180 + i * 130, 764, 110, 14, "#8A7452")),
  },
  {
    id: "ruined-town",
    subject: "War and peace",
    title: "A town after the bombs",
    says: "Walls without roofs and heaps of bricks; people pass stones from hand to hand.",
    words: "second world war bombing ruins city destruction rebuilding civilians",
    draw: () =>
      sky("#B3B0A8", "#E5D9C4") +
      [
        [40, 180, 200],
        [300, 120, 240],
        [640, 210, 190],
        [900, 90, 250],
      ]
        .map(
          ([x, y, w], i) =>
            path(
              `M${x} 620 V${y! + 60} l${w! * 0.2} ${-60 + i * 20} l${w! * 0.2} 70 l${w! * 0.22} -100 l${w! * 0.2} 60 l${w! * 0.18} ${30 + i * 10} V620 Z`,
              ["#9E8E80", "#A8988A", "#8E8074", "#B0A092"][i]!,
            ) +
            many(6, (k) => rect(x! + 30 + (k % 3) * (w! / 3.6), y! + 150 + Math.floor(k / 3) * 120, 38, 64, "#E5D9C4")),
        )
        .join("") +
      ground(610, "#A89A88") +
      [
        [180, 700],
        [520, 660],
        [980, 700],
      ]
        .map(
          ([x, y]) =>
            path(
              `M${x! - 190} ${y! + 60} L${x! - 60} ${y! - 50} L${x! + 20} ${y! - 20} L${x! + 80} ${y! - 70} L${x! + 200} ${y! + 60} Z`,
              "#8A6A58",
            ) +
            many(22, (i) =>
              rect(
                x! - 150 + ((i * 53) % 300),
                y! - 10 + ((i * 29) % 60),
                28,
                13,
                ["#A8644C", "#B47858", "#97583F"][i % 3]!,
                `transform="rotate(${(i * 37) % 50} ${x} ${y})"`,
              ),
            ),
        )
        .join("") +
      many(
        6,
        (i) =>
          person(
            300 + i * 110,
            770 - (i % 2) * 8,
            ["#4E5C6A", "#7A5636", "#6B4B8A", "#3B4A50", "#8E3A2A", "#4E7F4A"][i]!,
            1.5,
            i % 2 ? { hair: "#C9B88C" } : {},
          ) + (i < 5 ? rect(342 + i * 110, 690 - (i % 2) * 8, 34, 15, "#A8644C") : ""),
      ),
  },
  {
    id: "peace-dove",
    subject: "War and peace",
    title: "A dove over joined hands",
    says: "A white dove with an olive branch flies over two hands that shake.",
    words: "peace treaty agreement dove olive united nations cooperation",
    draw: () =>
      sky("#7DB4DC", "#F0F4EC") +
      sun(600, 330, 200, "#FBF3D0") +
      at(
        600,
        280,
        path(
          "M-40 40 Q-190 10 -260 -90 Q-120 -70 -60 -60 Q-120 -140 -100 -200 Q20 -140 60 -30 Q110 -60 150 -40 L190 -26 L152 -10 Q130 60 20 70 Q-60 100 -150 110 Z",
          "#FFFFFF",
        ) +
          disc(140, -32, 5, "#16323A") +
          line("M184 -20 Q250 0 290 -30", "#5C7A3C", 6) +
          many(6, (i) =>
            oval(
              206 + i * 15,
              -10 - (i % 2) * 18,
              13,
              6,
              "#6D9A4C",
              `transform="rotate(${i % 2 ? -30 : 20} ${206 + i * 15} ${-10})"`,
            ),
          ),
      ) +
      path("M0 560 H280 Q420 540 520 600 L640 640 Q680 670 640 690 L500 690 Q360 720 260 700 H0 Z", "#C48A5C") +
      path("M1200 540 H930 Q780 530 680 590 L560 650 Q540 690 580 700 L700 700 Q840 730 940 690 H1200 Z", "#8A5B3C") +
      many(4, (i) =>
        oval(
          590 + i * 26,
          664 + i * 9,
          46,
          17,
          i % 2 ? "#7A4E32" : "#8A5B3C",
          `transform="rotate(24 ${590 + i * 26} ${664 + i * 9})"`,
        ),
      ) +
      rect(0, 530, 120, 200, "#2F4A7A") +
      rect(1080, 510, 120, 210, "#8E3A2A"),
  },
  {
    id: "kitchen-long-ago",
    subject: "Everyday life",
    title: "A kitchen with an open fire",
    says: "A pot hangs over a fire; bread, onions and a cat; a woman stirs.",
    words: "kitchen cooking food home family everyday life fireplace house",
    draw: () =>
      wall("#D9C6A0", "#9A7448", 620) +
      rect(340, 160, 460, 470, "#8E8478") +
      rect(400, 260, 340, 370, "#2A221E") +
      rect(310, 140, 520, 50, "#6B4B3A") +
      path("M470 630 Q440 540 520 470 Q530 540 570 440 Q600 540 640 480 Q700 560 670 630 Z", "#E5762E") +
      path("M520 630 Q510 570 560 530 Q600 580 620 550 Q650 590 630 630 Z", "#F7D774") +
      line("M570 190 V400", "#3B3A38", 8) +
      path("M490 400 H650 Q660 500 570 510 Q480 500 490 400 Z", "#2A2A2E") +
      line("M490 404 Q570 360 650 404", "#3B3A38", 7) +
      person(860, 720, "#6B4B8A", 2.6, { hair: "#EFE6D2" }) +
      line("M830 520 L640 430", "#8A5B3C", 10) +
      rect(60, 500, 230, 24, "#6B4B3A") +
      rect(80, 524, 22, 180, "#5C3D22") +
      rect(250, 524, 22, 180, "#5C3D22") +
      oval(130, 480, 50, 26, "#C98F4C") +
      oval(230, 484, 40, 22, "#B97F3C") +
      many(
        5,
        (i) =>
          disc(1010 + i * 30, 180 + (i % 2) * 30, 20, "#B4653C") +
          line(`M${1010 + i * 30} ${160 + (i % 2) * 30} V100`, "#7A8A3C", 4),
      ) +
      at(
        230,
        720,
        oval(0, -26, 54, 28, "#3B3A38") +
          disc(50, -54, 22, "#3B3A38") +
          poly("36,-68 42,-90 52,-72", "#3B3A38") +
          poly("54,-74 66,-90 66,-66", "#3B3A38") +
          line("M-50 -30 q-40 -10 -36 -50", "#3B3A38", 9),
      ),
  },
  {
    id: "school-bench",
    subject: "School",
    title: "A school room of long ago",
    says: "Children sit on benches before a teacher, a blackboard and a map.",
    words: "school classroom teacher pupils lesson education blackboard history",
    draw: () =>
      wall("#E3DCC8", "#A57B52", 600) +
      rect(360, 90, 400, 230, "#2F4A3E", 'stroke="#7A5636" stroke-width="13"') +
      line("M400 150 H560 M400 200 H640 M400 250 H600", "#F7F2E2", 6) +
      rect(850, 80, 220, 260, "#E9DFC0", 'stroke="#7A5636" stroke-width="8"') +
      path("M880 130 Q920 100 980 130 Q1040 150 1030 220 Q990 270 930 250 Q870 200 880 130 Z", "#8DA878") +
      rect(120, 100, 150, 210, "#CFE3EA", 'stroke="#7A5636" stroke-width="10"') +
      line("M195 100 V310 M120 205 H270", "#7A5636", 6) +
      person(800, 590, "#16323A", 2.1) +
      line("M770 470 L650 230", "#5C3D22", 6) +
      many(3, (r) =>
        many(5, (i) => {
          const x = 150 + i * 210 + r * 24;
          const y = 600 + r * 80;
          return (
            person(x, y, ["#A8342C", "#1F5F8A", "#4E7F4A", "#6B4B8A", "#B4653C"][(i + r) % 5]!, 1.05, {
              hair: ["#3B2A1C", "#A8783F", "#1E1A18"][(i * 2 + r) % 3]!,
            }) +
            rect(x - 64, y - 24, 130, 14, "#7A5636") +
            rect(x - 56, y - 10, 10, 50, "#5C3D22") +
            rect(x + 46, y - 10, 10, 50, "#5C3D22")
          );
        }),
      ),
  },
  {
    id: "violin",
    subject: "Music",
    title: "A violin and a sheet of music",
    says: "A violin with its bow lies beside a page of notes.",
    words: "music violin orchestra composer notes instrument concert",
    draw: () =>
      wall("#3E4E5E", "#2E3A48", 900) +
      rect(660, 110, 420, 560, "#F7F2E2", 'transform="rotate(6 870 390)"') +
      many(
        5,
        (s) =>
          many(5, (i) =>
            line(`M${700 - s * 10} ${180 + s * 98 + i * 13} L${1060 - s * 10} ${216 + s * 98 + i * 13}`, "#55585A", 2),
          ) +
          many(
            7,
            (k) =>
              oval(730 + k * 46 - s * 10, 196 + s * 98 + ((k * 7 + s * 5) % 6) * 9, 11, 8, "#16323A") +
              line(`M${741 + k * 46 - s * 10} ${196 + s * 98 + ((k * 7 + s * 5) % 6) * 9} v-44`, "#16323A", 3),
          ),
      ) +
      at(
        400,
        430,
        path(
          "M-96 250 Q-130 120 -70 40 Q-100 -20 -70 -90 Q-40 -140 0 -140 Q40 -140 70 -90 Q100 -20 70 40 Q130 120 96 250 Q50 300 0 300 Q-50 300 -96 250 Z",
          "#A8582C",
        ) +
          path(
            "M-80 240 Q-110 130 -54 44 Q-80 -20 -54 -80 Q-30 -120 0 -120 Q30 -120 54 -80 Q80 -20 54 44 Q110 130 80 240 Q40 280 0 280 Q-40 280 -80 240 Z",
            "#C4743C",
          ) +
          rect(-13, -330, 26, 420, "#2A1D18") +
          rect(-30, 210, 60, 50, "#2A1D18") +
          line("M-40 60 q-20 40 0 80 M40 60 q20 40 0 80", "#3B2018", 7) +
          rect(-46, 150, 92, 9, "#E0C078") +
          many(4, (i) => line(`M${-9 + i * 6} -330 V220`, "#E5E0D0", 1.6)) +
          disc(0, -346, 22, "#A8582C") +
          [-1, 1]
            .map((s) => rect(s > 0 ? 14 : -38, -318, 24, 9, "#2A1D18") + rect(s > 0 ? 14 : -38, -290, 24, 9, "#2A1D18"))
            .join(""),
        1,
        -24,
      ) +
      line("M180 690 L640 120", "#5C3D22", 9) +
      line("M196 700 L652 134", "#F0E8D6", 3),
  },
  {
    id: "easel",
    subject: "Art",
    title: "A painter's easel by the sea",
    says: "A canvas on an easel shows the coast behind it; paints and brushes.",
    words: "art painting painter easel canvas colours palette artist landscape",
    draw: () => {
      const coast =
        sky("#8CC9E5", "#F3EBD2") +
        sea(420, "#3F8FAF", 3) +
        poly("700,420 860,250 1010,300 1200,220 1200,420", "#8DA878") +
        sun(300, 180, 50);
      return (
        coast +
        path("M0 560 Q600 500 1200 580 V800 H0 Z", "#D9C690") +
        line("M420 250 L330 790 M700 250 L790 790 M560 200 L560 780", "#8A5B3C", 17) +
        rect(340, 150, 440, 320, "#FBFAF4") +
        `<svg x="356" y="166" width="408" height="288" viewBox="0 0 1200 800" preserveAspectRatio="xMidYMid slice">${coast.replaceAll("sky", "sky2")}${path("M0 560 Q600 500 1200 580 V800 H0 Z", "#D9C690")}</svg>` +
        rect(330, 466, 460, 22, "#8A5B3C") +
        at(
          960,
          650,
          path("M-130 0 Q-140 -90 -10 -96 Q140 -90 130 10 Q100 70 20 50 Q-10 40 -20 64 Q-100 80 -130 0 Z", "#C9A06A") +
            many(6, (i) =>
              disc(
                -90 + i * 38,
                -44 + Math.abs(i - 2.5) * 16,
                17,
                ["#A8342C", "#F2B632", "#4E7F4A", "#1F5F8A", "#6B4B8A", "#F7F2E2"][i]!,
              ),
            ) +
            disc(-60, 30, 13, "#D9C690"),
        ) +
        line("M1000 560 L1090 430 M1020 570 L1130 470", "#5C3D22", 9) +
        oval(1094, 424, 10, 20, "#1F5F8A", 'transform="rotate(34 1094 424)"')
      );
    },
  },
  {
    id: "theatre-masks",
    subject: "Art",
    title: "A stage with curtains",
    says: "A theatre stage with red curtains, a laughing and a weeping mask above.",
    words: "theatre drama stage play actors opera performance culture",
    draw: () =>
      rect(0, 0, W, 800, "#2A1E2E") +
      rect(220, 150, 760, 470, "#3F5C7A") +
      poly("300,620 460,300 560,420 700,260 900,620", "#5C7A98") +
      disc(800, 270, 44, "#F3EFD9") +
      many(
        7,
        (i) =>
          path(
            `M${60 + i * 30} 110 Q${40 + i * 22} 400 ${70 + i * 26} 640 H${110 + i * 26} Q${80 + i * 24} 400 ${94 + i * 30} 110 Z`,
            i % 2 ? "#8E2A34" : "#A8343E",
          ) +
          path(
            `M${1140 - i * 30} 110 Q${1160 - i * 22} 400 ${1130 - i * 26} 640 H${1090 - i * 26} Q${1120 - i * 24} 400 ${1106 - i * 30} 110 Z`,
            i % 2 ? "#8E2A34" : "#A8343E",
          ),
      ) +
      many(9, (i) => path(`M${60 + i * 120} 90 q60 130 120 0 Z`, i % 2 ? "#8E2A34" : "#A8343E")) +
      rect(40, 60, 1120, 40, "#D9A832") +
      rect(0, 620, W, 50, "#8A5B3C") +
      [
        [500, 1],
        [700, -1],
      ]
        .map(([x, m]) =>
          at(
            x!,
            80,
            path("M-66 -60 Q0 -84 66 -60 Q74 50 0 92 Q-74 50 -66 -60 Z", m! > 0 ? "#F7E3B8" : "#CFE0E5") +
              [-26, 26]
                .map((e) => path(`M${e - 17} -10 q17 ${-16 * m!} 34 0 q-17 ${8 * m!} -34 0`, "#2A1E2E"))
                .join("") +
              path(m! > 0 ? "M-34 26 Q0 74 34 26 Q0 40 -34 26 Z" : "M-30 56 Q0 14 30 56 Q0 40 -30 56 Z", "#2A1E2E"),
            0.8,
          ),
        )
        .join("") +
      person(480, 630, "#D9A832", 1.5) +
      person(720, 630, "#4E7F4A", 1.5, { hat: "#2A2420" }) +
      many(14, (i) => disc(40 + i * 88, 760, 40, "#1A121E") + rect(0 + i * 88, 770, 80, 60, "#1A121E")),
  },
  {
    id: "telegraph",
    subject: "Communication",
    title: "Wires and poles along a road",
    says: "Telegraph poles follow a road into the distance; a key and paper tape in front.",
    words: "telegraph morse wire communication message invention cable nineteenth century",
    draw: () =>
      EVENING +
      hills(470, 60, "#6E7A5C", 6) +
      ground(500, "#8A8A5C") +
      poly("700,500 730,500 1100,800 420,800", "#C9B48C") +
      many(6, (i) => {
        const t = i / 5;
        const s = 1 - t * 0.84;
        const x = 120 + t * 560;
        return (
          line(`M${x} ${760 - t * 250} V${760 - t * 250 - 520 * s}`, "#3B2C20", 20 * s) +
          line(`M${x - 90 * s} ${760 - t * 250 - 470 * s} h${180 * s}`, "#3B2C20", 13 * s) +
          line(`M${x - 70 * s} ${760 - t * 250 - 410 * s} h${140 * s}`, "#3B2C20", 11 * s)
        );
      }) +
      [0, 1, 2]
        .map((i) => line(`M${30 + i * 90} 286 Q380 ${400 + i * 10} 660 ${430 + i * 4}`, "#2A2420", 2.5))
        .join("") +
      rect(640, 640, 520, 130, "#6B4B3A", 'rx="8"') +
      rect(700, 600, 240, 20, "#B4903C") +
      disc(930, 590, 30, "#2A2420") +
      rect(740, 616, 20, 30, "#8A6A1E") +
      rect(860, 616, 20, 30, "#8A6A1E") +
      path("M980 640 q40 -60 110 -50 q60 20 110 -10 v26 q-60 30 -116 10 q-50 -6 -80 30 Z", "#F7F2E2") +
      many(6, (i) => rect(1012 + i * 26, 606 - (i % 2) * 3, i % 3 ? 6 : 15, 5, "#16323A")),
  },
  {
    id: "radio-mast",
    subject: "Communication",
    title: "A family listens to the radio",
    says: "A wooden radio set on a table; a family sits around it in the evening.",
    words: "radio broadcast communication media family news twentieth century",
    draw: () =>
      wall("#B98A6A", "#6B4B3A", 620) +
      rect(80, 80, 230, 260, "#16243F", 'stroke="#F0E2C0" stroke-width="14"') +
      [120, 200, 260].map((x, i) => disc(x, 130 + i * 60, 3, "#F3EFD9")).join("") +
      rect(420, 430, 400, 30, "#5C3D22") +
      rect(440, 460, 26, 240, "#4E3B2C") +
      rect(774, 460, 26, 240, "#4E3B2C") +
      path("M490 430 V250 Q490 170 620 170 Q750 170 750 250 V430 Z", "#8A5B2C") +
      path("M530 340 V260 Q530 206 620 206 Q710 206 710 260 V340 Z", "#E0C078") +
      many(7, (i) => line(`M${546 + i * 25} 332 V230`, "#B48A44", 5)) +
      rect(540, 360, 160, 20, "#F7E8B8") +
      [560, 680].map((x) => disc(x, 404, 16, "#3B2018")).join("") +
      [
        [230, 2.3, "#1F5F8A"],
        [340, 1.6, "#A8342C"],
        [930, 2.4, "#4E7F4A"],
        [1060, 1.7, "#6B4B8A"],
      ]
        .map(([x, s, c]) => person(Number(x), 740, String(c), Number(s)))
        .join("") +
      line("M1010 120 q40 40 0 90 M1050 90 q70 70 0 150 M970 150 q14 16 0 34", "#F0E2C0", 6),
  },
  {
    id: "early-computer",
    subject: "Computers",
    title: "A computer as large as a room",
    says: "Cabinets with dials and tapes fill a room; two people plug in cables.",
    words: "computer mainframe technology information programming women digital history",
    draw: () =>
      wall("#C9D3D6", "#8E979A", 620) +
      many(
        5,
        (i) =>
          rect(40 + i * 226, 110, 206, 510, "#55666E", 'rx="8"') +
          rect(56 + i * 226, 126, 174, 120, "#2A3438") +
          (i % 2
            ? many(
                2,
                (k) =>
                  disc(104 + i * 226 + k * 78, 186, 34, "#E0E0D8") + disc(104 + i * 226 + k * 78, 186, 10, "#2A3438"),
              )
            : many(18, (k) =>
                disc(
                  76 + i * 226 + (k % 6) * 27,
                  150 + Math.floor(k / 6) * 32,
                  8,
                  ["#F2B632", "#A8342C", "#4E9A6A"][(k * 7 + i) % 3]!,
                ),
              )) +
          many(12, (k) => rect(62 + i * 226 + (k % 4) * 42, 270 + Math.floor(k / 4) * 50, 32, 34, "#7C8E96")) +
          many(6, (k) => disc(76 + i * 226 + k * 28, 440, 9, "#1E2629")) +
          rect(60 + i * 226, 480, 166, 100, "#48575E"),
      ) +
      line("M330 440 Q420 620 540 440 M580 440 Q640 600 740 446 M104 440 Q200 590 300 440", "#1E2629", 5) +
      person(430, 750, "#A8342C", 2.4, { hair: "#3B2018" }) +
      person(760, 760, "#1F5F8A", 2.4, { hair: "#7A5A3A" }) +
      line("M450 600 L540 450 M740 610 L660 450", "#E8C39E", 13),
  },
  {
    id: "network",
    subject: "Computers",
    title: "A world joined by a net",
    says: "A globe with points joined by lines; a phone and a computer beside it.",
    words: "internet network web computer globe communication digital technology world",
    draw: () => {
      const pts = [
        [470, 240],
        [600, 200],
        [720, 260],
        [440, 380],
        [560, 340],
        [690, 400],
        [790, 370],
        [520, 480],
        [640, 500],
        [750, 490],
      ];
      return (
        rect(0, 0, W, 800, "#16243F") +
        disc(620, 360, 240, "#2F6E9A") +
        path("M430 300 Q500 190 600 220 Q640 280 560 320 Q520 400 460 390 Q410 360 430 300 Z", "#5E9A6C") +
        path("M690 250 Q780 220 820 320 Q800 420 720 400 Q660 330 690 250 Z", "#5E9A6C") +
        path("M560 460 Q640 430 680 490 Q650 560 600 560 Q560 520 560 460 Z", "#5E9A6C") +
        many(4, (i) => oval(620, 360, 60 + i * 60, 240, "none", 'stroke="#9CC9E0" stroke-width="1.6" opacity=".5"')) +
        many(3, (i) =>
          line(
            `M${400 + Math.abs(i - 1) * 30} ${240 + i * 120} H${840 - Math.abs(i - 1) * 30}`,
            "#9CC9E0",
            1.6,
            'opacity=".5"',
          ),
        ) +
        pts
          .map(([x, y], i) =>
            pts
              .slice(i + 1)
              .map(([a, b], k) =>
                (i + k) % 3 === 0
                  ? path(
                      `M${x} ${y} Q${(x! + a!) / 2} ${(y! + b!) / 2 - 50} ${a} ${b}`,
                      "none",
                      'stroke="#F2D68A" stroke-width="2.5"',
                    )
                  : "",
              )
              .join(""),
          )
          .join("") +
        pts.map(([x, y]) => disc(x!, y!, 8, "#F7D774")).join("") +
        rect(90, 430, 110, 220, "#E5E9EA", 'rx="18"') +
        rect(100, 452, 90, 166, "#3F8FAF") +
        rect(920, 470, 240, 160, "#E5E9EA", 'rx="10"') +
        rect(934, 484, 212, 132, "#3F8FAF") +
        path("M890 650 H1190 L1170 632 H910 Z", "#BFC9CC") +
        line("M200 520 Q330 560 440 380 M920 540 Q840 560 750 490", "#F2D68A", 3)
      );
    },
  },
  {
    id: "rocket",
    subject: "Space",
    title: "A rocket takes off",
    says: "A white rocket rises on a flame beside its tower at dusk.",
    words: "rocket space launch astronaut moon race exploration technology",
    draw: () =>
      sky("#22345A", "#E58A5C") +
      stars(9, 60, 300) +
      ground(680, "#2A2E36") +
      rect(760, 260, 60, 430, "#7A3A34") +
      many(9, (i) =>
        line(`M760 ${280 + i * 46} L820 ${320 + i * 46} M820 ${280 + i * 46} L760 ${320 + i * 46}`, "#A8544A", 5),
      ) +
      line("M760 330 H690", "#A8544A", 11) +
      at(
        600,
        190,
        path("M-50 330 V40 Q-46 -70 0 -120 Q46 -70 50 40 V330 Z", "#F3F1EC") +
          rect(-50, 120, 100, 26, "#16323A") +
          rect(-50, 250, 100, 40, "#A8342C") +
          disc(0, 30, 20, "#3F8FAF") +
          poly("-50,250 -100,340 -50,330", "#BFC4C6") +
          poly("50,250 100,340 50,330", "#BFC4C6") +
          path("M-44 330 Q-90 480 0 600 Q90 480 44 330 Z", "#F2A632") +
          path("M-24 330 Q-44 420 0 500 Q44 420 24 330 Z", "#FBF0C8"),
      ) +
      many(16, (i) =>
        disc(300 + i * 42, 700 + Math.sin(i * 1.7) * 22, 50 + (i % 4) * 13, ["#E5DFD6", "#CFC8C0", "#F3EFE8"][i % 3]!),
      ),
  },
  {
    id: "moon-walk",
    subject: "Space",
    title: "On the moon",
    says: "Somebody in a space suit stands on grey ground; the earth hangs in a black sky.",
    words: "moon landing astronaut space earth exploration apollo twentieth century",
    draw: () =>
      rect(0, 0, W, 800, "#0B0F1A") +
      stars(14, 90, 500) +
      disc(260, 190, 100, "#3F7FB5") +
      path("M190 150 Q240 110 290 150 Q300 200 240 220 Q190 210 190 150 Z", "#6D9A5C") +
      path("M160 210 Q220 250 340 240 Q300 290 240 288 Q180 270 160 210 Z", "#FFFFFF", 'opacity=".7"') +
      disc(300, 170, 100, "#0B0F1A", 'opacity=".45"') +
      path("M0 560 Q300 490 640 540 T1200 500 V800 H0 Z", "#A8A8A4") +
      [
        [200, 650, 80],
        [480, 740, 60],
        [1000, 620, 90],
        [1120, 740, 50],
      ]
        .map(
          ([x, y, r]) => oval(x!, y!, r!, r! * 0.28, "#8A8A86") + oval(x! + 6, y! + 5, r! * 0.86, r! * 0.2, "#7A7A76"),
        )
        .join("") +
      at(
        690,
        690,
        path("M-60 0 L-50 -130 H50 L60 0 H16 L0 -80 L-16 0 Z", "#F3F1EC") +
          rect(-64, -270, 128, 150, "#F7F5F0", 'rx="30"') +
          rect(-84, -260, 30, 120, "#BFC4C6", 'rx="10"') +
          disc(0, -316, 64, "#F3F1EC") +
          oval(8, -316, 44, 40, "#D9A832") +
          path("M-20 -330 Q10 -350 40 -336", "none", 'stroke="#FBF0C8" stroke-width="6"') +
          line("M60 -240 L130 -170 M-58 -240 L-110 -150", "#F3F1EC", 34) +
          rect(-30, -220, 60, 40, "#55666E"),
      ) +
      at(
        990,
        520,
        poly("-110,0 -70,-120 70,-120 110,0", "#C9A43C") +
          poly("-60,-120 -40,-190 50,-190 66,-120", "#BFC4C6") +
          line("M-90 0 L-140 80 M90 0 L140 80 M0 0 V70", "#8A8A86", 8),
      ) +
      many(7, (i) => oval(420 + i * 36, 720 - i * 4 + (i % 2) * 12, 13, 6, "#7A7A76")),
  },
  {
    id: "planets",
    subject: "Space",
    title: "The sun and its planets",
    says: "The sun at the left and eight planets in a row, not to scale.",
    words: "solar system planets sun earth saturn jupiter mars astronomy",
    draw: () =>
      rect(0, 0, W, 800, "#0E1428") +
      stars(21, 120, 800) +
      disc(-60, 400, 250, "#F2A632") +
      disc(-60, 400, 290, "#F2B632", 'opacity=".25"') +
      [
        [270, 16, "#A8A29A"],
        [350, 28, "#E0B878"],
        [440, 30, "#3F8FC4"],
        [528, 22, "#C4582E"],
        [670, 86, "#D9A878"],
        [850, 66, "#E5CC8E"],
        [990, 44, "#8FCBD2"],
        [1110, 42, "#3F62B5"],
      ]
        .map(
          ([x, r, c], i) =>
            path(
              `M${Number(x)} 40 Q${Number(x) + 60} 400 ${Number(x)} 760`,
              "none",
              'stroke="#3B4A70" stroke-width="1.5"',
            ) +
            disc(Number(x) + 30, 400, Number(r), String(c)) +
            (i === 4
              ? many(5, (k) => oval(700, 352 + k * 24, 76 - Math.abs(k - 2) * 8, 6, k % 2 ? "#B47F52" : "#EBD2AC")) +
                oval(730, 428, 17, 10, "#A8502C")
              : i === 5
                ? oval(880, 400, 120, 22, "none", 'stroke="#CDB57A" stroke-width="11" transform="rotate(-14 880 400)"')
                : i === 2
                  ? path("M455 386 q20 -16 30 6 q-6 20 -22 14 Z", "#6DA85C")
                  : ""),
        )
        .join(""),
  },
  {
    id: "volcano",
    subject: "Earth history",
    title: "A volcano breaks out",
    says: "Lava and ash rise from a mountain over a young landscape of bare rock.",
    words: "volcano eruption lava geology earth history deep time disaster",
    draw: () =>
      sky("#3B2A3A", "#E58A4C") +
      many(14, (i) =>
        disc(
          600 + Math.sin(i * 2.1) * (40 + i * 17),
          250 - i * 18,
          50 + i * 8,
          ["#55484E", "#463A42", "#66575C"][i % 3]!,
        ),
      ) +
      poly("120,680 500,270 700,270 1080,680", "#4E3B3A") +
      poly("500,270 700,270 660,320 610,290 560,330", "#F2A632") +
      line(
        "M560 320 Q520 430 560 500 T480 680 M640 310 Q700 420 660 500 T760 680 M600 290 Q610 400 590 470",
        "#E5622E",
        19,
      ) +
      line("M560 320 Q520 430 560 500 T480 680 M640 310 Q700 420 660 500 T760 680", "#F7D774", 6) +
      many(18, (i) => disc(420 + ((i * 73) % 360), 90 + ((i * 47) % 190), 4 + (i % 3) * 2, "#F7A63C")) +
      path("M0 660 Q400 620 800 670 T1200 640 V800 H0 Z", "#2E2428") +
      path("M360 700 Q600 660 900 720 L820 800 H400 Z", "#C4482E"),
  },
  {
    id: "ammonites",
    subject: "Earth history",
    title: "Shells turned to stone",
    says: "Two coiled fossil shells and a fern print in layers of rock.",
    words: "fossil ammonite geology jurassic dinosaur evolution stone deep time palaeontology",
    draw: () => {
      const coil = (x: number, y: number, r: number, c: string) =>
        at(
          x,
          y,
          many(5, (k) => disc(-k * r * 0.05, k * r * 0.03, r * (1 - k * 0.19), k % 2 ? "#8A7458" : c)) +
            many(26, (i) => {
              const a = (i * 2 * Math.PI) / 26;
              return line(
                `M${Math.round(r * 0.84 * Math.cos(a))} ${Math.round(r * 0.84 * Math.sin(a))} L${Math.round(r * Math.cos(a))} ${Math.round(r * Math.sin(a))}`,
                "#6E5A42",
                6,
              );
            }) +
            disc(-r * 0.2, r * 0.12, r * 0.09, "#5C4632"),
        );
      return (
        many(8, (i) =>
          path(
            `M0 ${i * 104} q300 ${-20 + (i % 3) * 16} 600 0 t600 0 V${i * 104 + 120} H0 Z`,
            ["#CDBB98", "#BFAA84", "#D6C7A6", "#B39C76"][i % 4]!,
          ),
        ) +
        coil(410, 380, 220, "#A88F6C") +
        coil(860, 560, 150, "#B59C78") +
        line("M780 90 Q900 200 1010 350", "#5C5A3E", 7) +
        many(13, (i) =>
          line(
            `M${792 + i * 17} ${104 + i * 19} l${54 - i * 3} ${-34 + i} M${792 + i * 17} ${104 + i * 19} l${-44 + i * 2} ${36 - i}`,
            "#5C5A3E",
            6,
          ),
        )
      );
    },
  },
  {
    id: "mammoth",
    subject: "Earth history",
    title: "A mammoth on the ice-age steppe",
    says: "A mammoth with long curved tusks on snowy grass; glaciers behind.",
    words: "ice age mammoth glacier prehistory animals climate extinct stone age",
    draw: () =>
      sky("#9CB8D3", "#EDF1F3") +
      poly("0,430 180,230 320,400 520,180 760,430 980,260 1200,420 1200,480 0,480", "#C9D8E5") +
      poly("520,180 600,290 540,270 480,300", "#FFFFFF") +
      ground(470, "#DDE3DC") +
      many(50, (i) => line(`M${(i * 97) % 1200} ${500 + ((i * 61) % 280)} l4 -26 m-4 26 l-8 -20`, "#A8A878", 4)) +
      at(
        640,
        720,
        path(
          "M-210 0 V-160 Q-220 -300 -70 -310 Q30 -370 120 -330 Q210 -300 220 -200 Q240 -80 214 0 Q200 30 184 6 Q200 -90 176 -140 Q150 -110 120 -120 L116 0 H50 L44 -90 H-90 L-98 0 H-160 L-168 -60 L-176 0 Z",
          "#5C4030",
        ) +
          many(30, (i) =>
            line(`M${-196 + i * 11} ${-150 + Math.sin(i) * 8} q-6 40 -2 ${70 + (i % 3) * 16}`, "#6E4E3A", 8),
          ) +
          path("M170 -150 Q300 -60 330 -190 Q300 -100 190 -180 Z", "#F3EBD6") +
          path("M140 -140 Q230 -30 280 -110 Q230 -70 160 -170 Z", "#E5DCC4") +
          oval(120, -210, 34, 54, "#4A3226") +
          disc(176, -230, 7, "#16161A"),
      ) +
      at(1000, 600, path("M-50 0 V-60 Q-40 -96 20 -94 Q60 -90 56 0 Z", "#5C4030"), 0.8),
  },
  {
    id: "flooded-street",
    subject: "Weather",
    title: "High water in a street",
    says: "A boat passes between flooded houses; people look out of upper windows.",
    words: "flood storm disaster weather climate rescue boat water",
    draw: () =>
      sky("#7C8E9E", "#BFC9CC") +
      cloud(260, 110, 1.7, "#8E9AA5") +
      cloud(820, 90, 1.9, "#98A3AD") +
      [
        [20, 250, "#D9B98A"],
        [300, 230, "#C9A28C"],
        [690, 250, "#BFC9B8"],
        [970, 230, "#D3BFA8"],
      ]
        .map(
          ([x, w, c], i) =>
            rect(Number(x), 240 + (i % 2) * 30, Number(w), 420, String(c)) +
            poly(
              `${Number(x) - 10},${244 + (i % 2) * 30} ${Number(x) + Number(w) + 10},${244 + (i % 2) * 30} ${Number(x) + Number(w) / 2},${140 + (i % 2) * 30}`,
              "#7A4A3A",
            ) +
            many(4, (k) => rect(Number(x) + 36 + (k % 2) * 110, 290 + Math.floor(k / 2) * 120, 60, 74, "#4A5A66")) +
            person(Number(x) + 66, 364, ["#A8342C", "#1F5F8A", "#4E7F4A", "#6B4B8A"][i]!, 0.6),
        )
        .join("") +
      sea(560, "#7A8A80", 6) +
      at(
        590,
        690,
        path("M-170 -40 Q0 -10 170 -46 L130 40 H-120 Z", "#5C3D22") +
          person(-60, -20, "#F2B632", 1.1) +
          person(20, -20, "#A8342C", 1) +
          line("M60 -70 L150 70", "#8A5B3C", 8),
      ) +
      rect(200, 650, 80, 40, "#8A6A45", 'transform="rotate(-12 240 670)"') +
      many(70, (i) => line(`M${(i * 71) % 1200} ${(i * 47) % 560} l-10 34`, "#DCE6EA", 2)),
  },
  {
    id: "wind-turbines",
    subject: "Environment",
    title: "Wind turbines and roofs with solar cells",
    says: "Tall wind turbines on hills, houses with solar panels, fields.",
    words: "energy renewable wind solar climate environment sustainability technology twenty-first century",
    draw: () =>
      DAY +
      cloud(200, 120, 1) +
      hills(440, 130, "#8DB58A", 7) +
      [
        [260, 440, 1],
        [560, 400, 1.2],
        [900, 430, 0.9],
        [1080, 460, 0.7],
      ]
        .map(([x, y, s], i) =>
          at(
            x!,
            y!,
            poly("-9,0 9,0 4,-260 -4,-260", "#F7F7F3") +
              [0, 120, 240]
                .map((a) => at(0, -262, path("M-6 0 Q-16 -60 0 -150 Q12 -60 6 0 Z", "#FFFFFF"), 1, a + i * 34))
                .join("") +
              disc(0, -262, 10, "#D3D8D8"),
            s!,
          ),
        )
        .join("") +
      path("M0 560 Q400 490 800 560 T1200 540 V800 H0 Z", "#A8BE6C") +
      many(6, (i) =>
        path(
          `M${i * 220 - 60} 800 Q${i * 190 + 60} 680 ${i * 170 + 160} 590`,
          "none",
          'stroke="#8FA556" stroke-width="9"',
        ),
      ) +
      [
        [150, 700],
        [560, 740],
        [900, 690],
      ]
        .map(
          ([x, y]) =>
            rect(x!, y! - 90, 200, 90, "#F0E2C8") +
            poly(
              `${x! - 16},${y! - 88} ${x! + 216},${y! - 88} ${x! + 170},${y! - 170} ${x! + 30},${y! - 170}`,
              "#7A4A3A",
            ) +
            many(6, (k) =>
              poly(
                `${x! + 36 + (k % 3) * 46 - Math.floor(k / 3) * 8},${y! - 136 + Math.floor(k / 3) * 36} ${x! + 74 + (k % 3) * 46 - Math.floor(k / 3) * 8},${y! - 136 + Math.floor(k / 3) * 36} ${x! + 78 + (k % 3) * 48 - Math.floor(k / 3) * 8},${y! - 106 + Math.floor(k / 3) * 36} ${x! + 28 + (k % 3) * 46 - Math.floor(k / 3) * 8},${y! - 106 + Math.floor(k / 3) * 36}`,
                "#1F4E7A",
              ),
            ) +
            rect(x! + 84, y! - 54, 34, 54, "#5C3D22") +
            rect(x! + 24, y! - 64, 34, 34, "#9CC9E0") +
            rect(x! + 144, y! - 64, 34, 34, "#9CC9E0"),
        )
        .join(""),
  },
  {
    id: "helix",
    subject: "Biology",
    title: "The double thread of life",
    says: "A double helix with coloured rungs on a dark ground.",
    words: "dna gene genetics biology heredity science cell evolution medicine",
    draw: () => {
      const x = (t: number, s: number) => 600 + s * 150 * Math.sin(t);
      return (
        rect(0, 0, W, 800, "#16323A") +
        many(30, (i) => {
          const t = i * 0.42;
          const y = 40 + i * 25;
          return (
            line(`M${x(t, 1)} ${y} L${x(t, 0)} ${y}`, ["#F2B632", "#4E9A8A", "#C4582E", "#7FB5DC"][i % 4]!, 9) +
            line(`M${x(t, 0)} ${y} L${x(t, -1)} ${y}`, ["#4E9A8A", "#F2B632", "#7FB5DC", "#C4582E"][i % 4]!, 9)
          );
        }) +
        [1, -1]
          .map((s) =>
            line(
              `M${Array.from({ length: 76 }, (_, i) => `${x(i * 0.168, s).toFixed(1)} ${40 + i * 10}`).join(" L")}`,
              s > 0 ? "#E5EFED" : "#A8C9C4",
              15,
            ),
          )
          .join("") +
        many(9, (i) => disc(100 + ((i * 211) % 1000), 100 + ((i * 137) % 600), 13 + (i % 3) * 9, "#24505A"))
      );
    },
  },
  {
    id: "microscope",
    subject: "Biology",
    title: "A microscope and what it shows",
    says: "A microscope; in a round frame, cells with dark nuclei.",
    words: "microscope cell biology science laboratory bacteria discovery medicine",
    draw: () =>
      wall("#E3ECE8", "#8A6A45", 660) +
      at(
        340,
        660,
        rect(-160, -30, 320, 34, "#2A3438", 'rx="10"') +
          path(
            "M-20 -30 Q150 -120 120 -300 Q100 -400 10 -420 L-6 -380 Q70 -350 80 -280 Q90 -160 -60 -90 Z",
            "#3B4A50",
          ) +
          rect(-110, -150, 180, 20, "#2A3438") +
          rect(-70, -158, 90, 8, "#9CC9E0") +
          at(
            -30,
            -300,
            rect(-34, -160, 68, 190, "#B4903C", 'rx="8"') +
              rect(-24, -200, 48, 44, "#2A3438") +
              rect(-18, 30, 36, 70, "#8A6A1E"),
            1,
            14,
          ) +
          disc(96, -220, 26, "#8A6A1E"),
      ) +
      disc(820, 370, 290, "#2A3438") +
      disc(820, 370, 266, "#F3E8D0") +
      `<clipPath id="lens"><circle cx="820" cy="370" r="262"/></clipPath><g clip-path="url(#lens)">${many(22, (i) => {
        const [cx, cy] = [590 + (i % 5) * 120 + (Math.floor(i / 5) % 2) * 60, 140 + Math.floor(i / 5) * 112];
        return (
          poly(
            Array.from(
              { length: 6 },
              (_, k) => `${cx + 64 * Math.sin((k * Math.PI) / 3)},${cy + 62 * Math.cos((k * Math.PI) / 3)}`,
            ).join(" "),
            i % 3 ? "#BFDCA8" : "#CFE5B8",
            'stroke="#5E8A4C" stroke-width="5"',
          ) + disc(cx + ((i * 13) % 30) - 15, cy + ((i * 7) % 26) - 13, 17, "#6B4B8A")
        );
      })}</g>`,
  },
  {
    id: "harvest",
    subject: "Farming",
    title: "The harvest is brought in",
    says: "People cut and bind wheat; a loaded wagon waits; a windmill on a hill.",
    words: "farming harvest wheat agriculture food field village mill bread autumn",
    draw: () =>
      DAY +
      sun(180, 130, 50) +
      hills(400, 110, "#A8B87C", 5) +
      at(
        900,
        330,
        poly("-50,60 50,60 34,-90 -34,-90", "#EFE6D2") +
          poly("-40,-88 40,-88 0,-130", "#7A4A3A") +
          [20, 110, 200, 290]
            .map((a) =>
              at(0, -70, rect(-5, -150, 10, 150, "#5C3D22") + rect(5, -146, 26, 110, "#F7F2E2", 'opacity=".9"'), 1, a),
            )
            .join(""),
      ) +
      ground(430, "#E0B85C") +
      many(90, (i) => line(`M${(i * 53) % 1200} ${470 + ((i * 31) % 120)} v-34`, i % 2 ? "#CFA03C" : "#EFD07A", 5)) +
      ground(600, "#D3AE5C") +
      many(6, (i) =>
        at(
          120 + i * 84,
          690 + (i % 2) * 34,
          path("M-30 0 L-14 -60 L-36 -110 H36 L14 -60 L30 0 Z", "#E5C265") + rect(-18, -66, 36, 10, "#8A5B2C"),
        ),
      ) +
      [
        [640, "#A8342C"],
        [730, "#1F5F8A"],
      ]
        .map(
          ([x, c], i) =>
            person(Number(x), 730 + i * 20, String(c), 1.6, { hat: "#D9B25C" }) +
            path(`M${Number(x) + 30} ${640 + i * 20} q70 -10 80 50 q-30 -36 -80 -30 Z`, "#8E9192"),
        )
        .join("") +
      at(
        1000,
        720,
        rect(-150, -90, 260, 30, "#7A5636") +
          path("M-160 -90 Q-150 -220 -20 -230 Q110 -220 130 -90 Z", "#E5C265") +
          wheel(-90, -20, 48) +
          wheel(70, -20, 48),
      ),
  },
  {
    id: "abacus-and-shapes",
    subject: "Mathematics",
    title: "Numbers and shapes",
    says: "An abacus, a right-angled triangle with squares on its sides, compasses.",
    words: "mathematics geometry numbers pythagoras abacus counting school compass",
    draw: () =>
      wall("#EAF1EF", "#EAF1EF", 900) +
      rect(90, 130, 430, 540, "#8A5B3C") +
      rect(120, 160, 370, 480, "#EAF1EF") +
      many(
        7,
        (r) =>
          line(`M120 ${200 + r * 66} H490`, "#55585A", 5) +
          many(7, (i) =>
            oval(
              (i < (r * 3) % 6 ? 150 : 274) + i * 31,
              200 + r * 66,
              14,
              25,
              ["#A8342C", "#1F5F8A", "#F2B632", "#4E7F4A"][r % 4]!,
            ),
          ),
      ) +
      poly("720,470 960,470 720,290", "#F0E2B4", 'stroke="#16323A" stroke-width="5"') +
      rect(720, 470, 240, 240, "#1F5F8A", 'opacity=".75"') +
      rect(540, 290, 180, 180, "#A8342C", 'opacity=".75"') +
      poly("720,290 960,470 1140,230 900,50", "#4E7F4A", 'opacity=".75"') +
      rect(720, 446, 24, 24, "none", 'stroke="#16323A" stroke-width="4"') +
      many(3, (i) => line(`M${720 + (i + 1) * 60} 470 V710 M720 ${470 + (i + 1) * 60} H960`, "#EAF1EF", 3)),
  },
  {
    id: "runners",
    subject: "Sport",
    title: "A race is run",
    says: "Four runners on a track before a full stand; one breaks the tape.",
    words: "sport athletics olympics race running stadium games competition",
    draw: () =>
      sky("#9CC9E0", "#EAF1DE") +
      rect(0, 170, W, 220, "#7C8E96") +
      many(110, (i) =>
        disc(
          12 + (i % 37) * 33,
          200 + Math.floor(i / 37) * 60 + (i % 2) * 12,
          13,
          ["#A8342C", "#1F5F8A", "#F2B632", "#4E7F4A", "#F7F2E2", "#6B4B8A"][(i * 5) % 6]!,
        ),
      ) +
      many(
        9,
        (i) =>
          line(`M${60 + i * 134} 170 V96`, "#55585A", 4) +
          path(`M${60 + i * 134} 96 q30 -10 56 4 v34 q-28 -12 -56 0 Z`, ["#A8342C", "#4E7F4A", "#1F5F8A"][i % 3]!),
      ) +
      ground(390, "#6F9A50") +
      poly("0,470 1200,430 1200,800 0,800", "#B4583C") +
      many(5, (i) => line(`M0 ${500 + i * 74} L1200 ${456 + i * 86}`, "#F7F2E2", 5)) +
      [
        [250, 620, "#1F5F8A"],
        [450, 690, "#F2B632"],
        [660, 650, "#4E7F4A"],
        [900, 720, "#F7F2E2"],
      ]
        .map(([x, y, c], i) =>
          at(
            Number(x),
            Number(y),
            disc(34, -190, 24, ["#C48A5C", "#5C3D26", "#E8C39E", "#8A5B3C"][i]!) +
              path("M-24 -70 L0 -166 L40 -160 L24 -66 Z", String(c)) +
              line(
                "M0 -70 L60 -40 L40 40 M-10 -70 L-60 -20 L-120 -40",
                ["#C48A5C", "#5C3D26", "#E8C39E", "#8A5B3C"][i]!,
                17,
              ) +
              line(
                "M34 -150 L84 -120 L110 -160 M4 -150 L-50 -120 L-64 -70",
                ["#C48A5C", "#5C3D26", "#E8C39E", "#8A5B3C"][i]!,
                13,
              ),
          ),
        )
        .join("") +
      line("M980 800 V500 M1090 800 V480", "#F7F2E2", 13) +
      line("M985 590 Q1030 600 1086 580", "#A8342C", 8),
  },
  {
    id: "harbour-of-containers",
    subject: "Trade",
    title: "A harbour of containers",
    says: "A large ship loaded with coloured containers under cranes.",
    words: "globalisation trade container ship port harbour export economy goods transport",
    draw: () =>
      DAWN +
      sea(560, "#4A86A5", 4) +
      many(3, (i) =>
        line(
          `M${160 + i * 380} 560 V150 M${260 + i * 380} 560 V150 M${60 + i * 380} 170 H${520 + i * 380} M${210 + i * 380} 80 L${60 + i * 380} 170 M${210 + i * 380} 80 L${500 + i * 380} 170 M${210 + i * 380} 80 V170`,
          "#C4582E",
          13,
        ),
      ) +
      path("M120 480 H1120 L1060 640 H190 Z", "#1E3A55") +
      rect(150, 560, 930, 12, "#A8342C") +
      many(44, (i) =>
        rect(
          220 + (i % 11) * 68,
          440 - Math.floor(i / 11) * 42,
          64,
          38,
          ["#A8342C", "#1F5F8A", "#4E7F4A", "#D9A832", "#7A5636", "#6B4B8A"][(i * 7) % 6]!,
        ),
      ) +
      rect(990, 330, 90, 150, "#F3F1EC") +
      many(6, (i) => rect(1000 + (i % 3) * 26, 350 + Math.floor(i / 3) * 40, 16, 18, "#2F4A5A")) +
      sea(650, "#3F7895", 9) +
      rect(0, 750, W, 50, "#8E979A") +
      [80, 180, 700, 800]
        .map((x, i) => rect(x, 712, 84, 40, ["#D9A832", "#A8342C", "#1F5F8A", "#4E7F4A"][i]!))
        .join(""),
  },
  {
    id: "tree-of-seasons",
    subject: "Environment",
    title: "One tree in four seasons",
    says: "A tree in four stripes: blossom, green leaves, red leaves, snow.",
    words: "seasons year spring summer autumn winter tree nature calendar",
    draw: () =>
      ["#CFE3F0", "#BFE0EA", "#EAD9BF", "#D3DEE8"]
        .map(
          (c, i) =>
            rect(i * 300, 0, 300, 800, c) +
            rect(i * 300, 600, 300, 200, ["#A8C98A", "#7FA85C", "#C9A05C", "#F3F6F8"][i]!) +
            at(
              150 + i * 300,
              620,
              rect(-17, -250, 34, 250, "#5C3D22") +
                line("M0 -180 L-80 -290 M0 -200 L86 -300 M0 -240 L-30 -360 M0 -240 L40 -370", "#5C3D22", 15) +
                (i === 3
                  ? line("M-80 -296 L-20 -220 M86 -306 L20 -220 M-30 -366 L-6 -270", "#FFFFFF", 7)
                  : many(15, (k) =>
                      disc(
                        -100 + (k % 5) * 50,
                        -390 + Math.floor(k / 5) * 66 + (k % 2) * 18,
                        46,
                        [
                          ["#F7C8D2", "#F0A8B8"],
                          ["#4E8A4C", "#5E9A58"],
                          ["#C4582E", "#D98A32"],
                        ][i]![k % 2]!,
                      ),
                    )),
            ),
        )
        .join("") +
      many(24, (i) => disc(915 + ((i * 47) % 270), 40 + ((i * 89) % 560), 5, "#FFFFFF")) +
      many(9, (i) => oval(620 + ((i * 71) % 260), 640 + ((i * 37) % 120), 13, 7, "#C4582E")),
  },
  {
    id: "lighthouse-in-storm",
    subject: "Weather",
    title: "A lighthouse in a storm",
    says: "A striped lighthouse sends its beam over high waves; a small ship fights the sea.",
    words: "storm sea lighthouse weather waves ship danger coast",
    draw: () =>
      sky("#22304A", "#5E708A") +
      cloud(300, 120, 1.9, "#34445E") +
      cloud(900, 90, 2, "#3B4B66") +
      poly("884,250 0,60 0,330", "#F7E8B0", 'opacity=".35"') +
      line("M300 60 L260 150 L310 150 L250 260", "#F7E8B0", 7) +
      poly("840,600 940,600 922,280 858,280", "#F3F1EC") +
      many(3, (i) =>
        poly(
          `${844 + i * 6},${560 - i * 100} ${936 - i * 6},${560 - i * 100} ${932 - i * 6},${510 - i * 100} ${848 + i * 6},${510 - i * 100}`,
          "#A8342C",
        ),
      ) +
      rect(850, 230, 80, 50, "#F7D774") +
      rect(840, 274, 100, 13, "#2A2E36") +
      poly("846,232 934,232 890,184", "#2A2E36") +
      path("M680 800 Q720 590 840 580 H960 Q1080 610 1120 800 Z", "#3B3A3E") +
      many(4, (i) =>
        path(
          `M-40 ${560 + i * 66} ${Array.from({ length: 7 }, (_, k) => `q50 ${-90 + (k % 2) * 24} 100 0 q50 ${54 - (k % 2) * 16} 100 0`).join(" ")} V800 H-40 Z`,
          ["#3F5C7A", "#34506C", "#2A445E", "#223A52"][i]!,
        ),
      ) +
      at(
        340,
        590,
        path("M-90 -30 Q0 10 100 -40 L70 36 H-66 Z", "#6B4B3A") +
          line("M0 -20 V-150", "#5C3D22", 8) +
          path("M4 -146 Q70 -100 60 -46 L6 -40 Z", "#F3F1EC"),
        1,
        -16,
      ),
  },
];
