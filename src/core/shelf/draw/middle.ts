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
  house,
  line,
  many,
  masonry,
  oval,
  palm,
  path,
  person,
  pine,
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

const battlements = (x: number, y: number, w: number, fill: string) =>
  many(Math.floor(w / 34), (i) => rect(x + i * 34 + 4, y - 22, 20, 24, fill));
const flag = (x: number, y: number, c: string) =>
  line(`M${x} ${y} V${y - 90}`, "#5C3D22", 6) + path(`M${x} ${y - 90} q34 -14 70 4 q-24 14 -2 34 q-34 -14 -68 0 Z`, c);
const sail = (x: number, y: number, w: number, h: number, c = "#F7F2E2") =>
  path(
    `M${x} ${y} Q${x + w * 0.5} ${y - h * 0.1} ${x + w} ${y} Q${x + w * 1.1} ${y + h * 0.5} ${x + w} ${y + h} Q${x + w * 0.5} ${y + h * 0.86} ${x} ${y + h} Q${x + w * 0.1} ${y + h * 0.5} ${x} ${y} Z`,
    c,
  );
const book = (x: number, y: number, w: number, h: number, c: string) =>
  rect(x, y, w, h, c, 'rx="4"') +
  rect(x + w * 0.2, y + 14, w * 0.6, 5, "#F2D68A") +
  rect(x + w * 0.2, y + h - 20, w * 0.6, 5, "#F2D68A");

/** From castles to the first machines. */
export const MIDDLE: Drawn[] = [
  {
    id: "castle",
    subject: "Castles and knights",
    title: "A castle with a moat",
    says: "A stone castle with four towers and a drawbridge stands in water.",
    words: "middle ages castle fortress knight lord tower moat drawbridge feudal",
    draw: () =>
      DAY +
      cloud(200, 140, 1.1) +
      cloud(980, 190, 0.9) +
      hills(470, 90, "#9DB58A", 2) +
      ground(540, "#86A060") +
      masonry(280, 330, 640, 270, "#B5B1A6", "#918D82", 4) +
      battlements(280, 330, 640, "#B5B1A6") +
      [
        [230, 230, 130, 370],
        [840, 230, 130, 370],
      ]
        .map(
          ([x, y, w, h], i) =>
            masonry(x!, y!, w!, h!, "#C4C0B4", "#9E9A8F", 7 + i) +
            battlements(x!, y!, w!, "#C4C0B4") +
            rect(x! + 54, y! + 80, 18, 52, "#3B3A38", 'rx="9"'),
        )
        .join("") +
      masonry(500, 150, 200, 250, "#BDB9AE", "#99958A", 9) +
      poly("480,150 720,150 600,30", "#7A4A3A") +
      flag(600, 36, "#A8452C") +
      rect(540, 200, 20, 60, "#3B3A38") +
      rect(640, 200, 20, 60, "#3B3A38") +
      path("M530 600 V500 Q530 430 600 430 Q670 430 670 500 V600 Z", "#4A3A2C") +
      many(5, (i) => line(`M${545 + i * 27} 600 V450`, "#2E2620", 5)) +
      sea(600, "#5C9CB5", 6) +
      poly("536,600 664,600 700,720 500,720", "#8A6A45") +
      ground(716, "#86A060") +
      person(590, 790, "#1F5F8A", 1) +
      tree(90, 640, 1) +
      tree(1130, 650, 0.9),
  },
  {
    id: "siege-engine",
    subject: "Castles and knights",
    title: "A stone thrower before a town",
    says: "A wooden machine with a counterweight is aimed at the walls of a town.",
    words: "siege war trebuchet catapult machine castle attack middle ages army",
    draw: () =>
      EVENING +
      hills(480, 90, "#7D8468", 3) +
      masonry(760, 360, 440, 180, "#A8A196", "#857E73", 3) +
      battlements(760, 360, 440, "#A8A196") +
      masonry(900, 250, 90, 290, "#B4ADA1", "#8E877B", 5) +
      battlements(900, 250, 90, "#B4ADA1") +
      ground(540, "#7B7A4E") +
      [
        [250, 0],
        [410, 0],
      ]
        .map(
          ([x]) =>
            poly(`${x! - 60},720 ${x! - 36},720 ${x! + 20},380 ${x! - 2},380`, "#6B4B3A") +
            poly(`${x! + 60},720 ${x! + 84},720 ${x! + 22},380 ${x},380`, "#5C3D22"),
        )
        .join("") +
      rect(150, 706, 400, 26, "#6B4B3A") +
      line("M180 560 L660 130", "#8A5B3C", 26) +
      line("M660 130 Q700 210 640 260", "#D9C69A", 6) +
      disc(640, 272, 24, "#7C7F80") +
      rect(130, 560, 110, 100, "#4E3B2C") +
      wheel(200, 740, 34) +
      wheel(500, 740, 34) +
      person(640, 740, "#A8452C", 1.2) +
      person(720, 750, "#1F5F8A", 1.2),
  },
  {
    id: "cloister",
    subject: "Monasteries",
    title: "A cloister with a garden",
    says: "Round arches surround a garden of herbs with a well; a monk reads.",
    words: "monastery abbey monk nun cloister garden herbs church middle ages religion",
    draw: () =>
      sky("#BFD9E5", "#EAF1DE") +
      rect(0, 160, W, 300, "#D8CDB4") +
      poly("0,170 1200,170 1140,70 60,70", "#A5603E") +
      many(
        8,
        (i) =>
          path(`M${40 + i * 145} 460 V320 A52 52 0 0 1 ${144 + i * 145} 320 V460 Z`, "#6E675A") +
          rect(28 + i * 145, 330, 18, 136, "#EFE6D2"),
      ) +
      ground(460, "#8FA56A") +
      [
        [140, 540],
        [140, 660],
        [860, 540],
        [860, 660],
      ]
        .map(
          ([x, y], k) =>
            rect(x!, y!, 220, 80, "#7A5A36", 'rx="8"') +
            many(14, (i) =>
              disc(
                x! + 18 + (i % 7) * 31,
                y! + 26 + Math.floor(i / 7) * 32,
                14,
                ["#4E7F4A", "#6D8A3C", "#7A6BA8", "#3F6B4F"][(i + k) % 4]!,
              ),
            ),
        )
        .join("") +
      oval(600, 640, 86, 30, "#B5B1A6") +
      rect(514, 600, 172, 42, "#C4C0B4") +
      oval(600, 600, 86, 30, "#918D82") +
      oval(600, 600, 66, 20, "#2F5D7A") +
      path("M690 780 L706 640 Q736 620 766 640 L782 780 Z", "#4E3B2C") +
      disc(736, 612, 24, "#E8C39E") +
      path("M710 610 Q712 580 736 580 Q760 580 762 610 Q736 596 710 610 Z", "#4E3B2C") +
      rect(716, 672, 50, 34, "#F7F2E2"),
  },
  {
    id: "manuscript",
    subject: "Monasteries",
    title: "A page with a painted letter",
    says: "An open manuscript: a large painted initial, lines of writing and leaves in the margin.",
    words: "manuscript illuminated book writing monk medieval parchment scriptorium",
    draw: () =>
      wall("#5C4632", "#3B2C20", 700) +
      path("M80 130 Q340 70 600 130 V700 Q340 640 80 700 Z", "#F0E2C0") +
      path("M600 130 Q860 70 1120 130 V700 Q860 640 600 700 Z", "#F5EAD0") +
      line("M600 130 V700", "#C9B88C", 6) +
      rect(150, 190, 150, 160, "#1F4E7A") +
      rect(160, 200, 130, 140, "#C9A43C") +
      path("M182 322 L212 220 H238 L268 322 H244 L238 298 H212 L206 322 Z M217 276 H233 L225 244 Z", "#8E2A2A") +
      many(5, (i) => line(`M326 ${206 + i * 32} H${540 - (i % 2) * 30}`, "#4A4038", 7)) +
      many(8, (i) => line(`M150 ${386 + i * 32} H${540 - (i % 3) * 26}`, i === 2 ? "#8E2A2A" : "#4A4038", 7)) +
      many(13, (i) => line(`M680 ${200 + i * 33} H${1030 - (i % 4) * 22}`, i === 5 ? "#1F4E7A" : "#4A4038", 7)) +
      line("M112 640 Q90 420 116 180", "#4E7F4A", 6) +
      many(7, (i) =>
        oval(
          112 + (i % 2 ? 16 : -14),
          220 + i * 60,
          17,
          9,
          i % 3 ? "#4E7F4A" : "#C9A43C",
          `transform="rotate(${i % 2 ? 35 : -35} ${112} ${220 + i * 60})"`,
        ),
      ) +
      line("M1060 760 L1150 600", "#EFE6D2", 10) +
      path("M1150 600 q40 -60 20 -120 q-50 40 -40 110 Z", "#F7F2E2"),
  },
  {
    id: "market-day",
    subject: "Towns",
    title: "Market day before the town hall",
    says: "Stalls with striped roofs fill a square between tall houses.",
    words: "town market square trade stalls merchants middle ages craft shop",
    draw: () =>
      DAY +
      [
        ["#D9A860", "#7A4A3A"],
        ["#E7DFCF", "#5C4632"],
        ["#C98F6C", "#6B3F36"],
        ["#DCE3DC", "#4E5C50"],
        ["#E0B98A", "#7A4A3A"],
      ]
        .map(([f, r], i) => {
          const x = 20 + i * 236;
          return (
            rect(x, 170, 216, 390, f!) +
            poly(`${x - 6},172 ${x + 222},172 ${x + 108},30`, r!) +
            many(9, (k) => rect(x + 24 + (k % 3) * 64, 200 + Math.floor(k / 3) * 96, 40, 56, "#4A5A66")) +
            many(3, (k) => rect(x, 184 + k * 96, 216, 6, "#5C3D22")) +
            line(`M${x + 3} 170 V560 M${x + 213} 170 V560`, "#5C3D22", 8)
          );
        })
        .join("") +
      ground(540, "#B7AD98") +
      many(60, (i) => oval((i * 97) % 1200, 560 + ((i * 53) % 230), 26, 9, "#A69C86")) +
      [
        [120, 600, "#A8452C"],
        [470, 640, "#1F5F8A"],
        [850, 600, "#4E7F4A"],
      ]
        .map(
          ([x, y, c]) =>
            rect(Number(x), Number(y), 240, 70, "#8A6A45") +
            many(6, (k) =>
              disc(Number(x) + 24 + k * 38, Number(y) - 4, 17, ["#D9A832", "#A8452C", "#6D8A3C"][k % 3]!),
            ) +
            many(6, (k) =>
              poly(
                `${Number(x) - 16 + k * 46},${Number(y) - 90} ${Number(x) + 30 + k * 46},${Number(y) - 90} ${Number(x) + 22 + k * 42},${Number(y) - 140} ${Number(x) - 8 + k * 42},${Number(y) - 140}`,
                k % 2 ? "#F7F2E2" : String(c),
              ),
            ) +
            line(`M${Number(x)} ${Number(y)} v-90 M${Number(x) + 240} ${Number(y)} v-90`, "#5C3D22", 7),
        )
        .join("") +
      [300, 420, 760, 1130]
        .map((x, i) => person(x, 770 - (i % 2) * 30, ["#6B4B8A", "#B4481E", "#0B6E69", "#7A5636"][i]!, 1.2))
        .join(""),
  },
  {
    id: "guild-sign",
    subject: "Towns",
    title: "A street with signs of the crafts",
    says: "Signs with a boot, a key, a loaf and scissors hang over a narrow street.",
    words: "guild craft shoemaker baker smith tailor shop street town middle ages",
    draw: () =>
      sky("#C9DCE5", "#F0EBD9") +
      poly("0,0 420,140 420,800 0,800", "#D9B98A") +
      poly("1200,0 780,140 780,800 1200,800", "#C9A27C") +
      many(5, (i) => line(`M${40 + i * 84} ${30 + i * 26} V800`, "#6B4B3A", 12)) +
      many(5, (i) => line(`M${1160 - i * 84} ${30 + i * 26} V800`, "#6B4B3A", 12)) +
      line("M0 300 L420 340 M0 560 L420 520 M1200 300 L780 340 M1200 560 L780 520", "#6B4B3A", 12) +
      poly("420,800 780,800 660,480 540,480", "#B7AD98") +
      house(536, 490, 130, 190, "#E7DFCF", "#7A4A3A") +
      [
        [360, 250],
        [250, 420],
        [840, 250],
        [950, 420],
      ]
        .map(
          ([x, y], i) =>
            line(`M${i < 2 ? x! - 60 : x! + 60} ${y! - 40} H${x}`, "#2A2420", 7) +
            disc(x!, y! + 30, 62, "#2F5D50") +
            disc(x!, y! + 30, 52, "#F0E2B4") +
            at(
              x!,
              y! + 30,
              [
                path("M-20 -34 H8 V4 Q34 8 34 28 H-20 Z", "#5C3D22"),
                disc(-16, -14, 16, "none", 'stroke="#7C6A2C" stroke-width="9"') +
                  line("M-4 -4 L28 28 M14 14 l12 -12 M22 24 l10 -10", "#7C6A2C", 9),
                oval(0, 0, 36, 22, "#C98F4C") + line("M-16 -12 l10 16 M2 -14 l10 16", "#8A5B2C", 5),
                line("M-26 -26 L20 20 M26 -26 L-20 20", "#55585A", 9) +
                  disc(-24, 28, 10, "none", 'stroke="#55585A" stroke-width="7"') +
                  disc(24, 28, 10, "none", 'stroke="#55585A" stroke-width="7"'),
              ][i]!,
            ),
        )
        .join("") +
      person(600, 640, "#A8452C", 0.9) +
      person(680, 740, "#1F5F8A", 1.3) +
      person(500, 770, "#4E7F4A", 1.5),
  },
  {
    id: "cathedral",
    subject: "Religions",
    title: "A cathedral is being built",
    says: "A tall church in scaffolding with a crane on its tower and stone masons below.",
    words: "cathedral church gothic building masons scaffold crane religion middle ages",
    draw: () =>
      DAY +
      cloud(180, 160, 1) +
      ground(640, "#B3A68A") +
      masonry(380, 260, 440, 390, "#D8CFBC", "#B5AB95", 8) +
      poly("370,264 830,264 600,110", "#6E7A8A") +
      [
        [310, 130],
        [800, 240],
      ]
        .map(
          ([x, y]) =>
            masonry(x!, y!, 120, 650 - y!, "#D2C8B4", "#AFA58F", x!) +
            many(3, (k) => path(`M${x! + 40} ${y! + 110 + k * 140} v-60 q20 -34 40 0 v60 Z`, "#4A5A66")),
        )
        .join("") +
      poly("300,134 440,134 370,-40", "#6E7A8A") +
      disc(600, 370, 76, "#4A5A66") +
      many(12, (i) => at(600, 370, oval(0, -48, 12, 24, ["#A8452C", "#D9A832", "#1F5F8A"][i % 3]!), 1, i * 30)) +
      path("M540 650 V560 Q600 470 660 560 V650 Z", "#5C3D22") +
      many(5, (i) => line(`M${770 + i * 45} 650 V220`, "#8A6A45", 6)) +
      many(5, (i) => line(`M764 ${250 + i * 90} H956`, "#8A6A45", 7)) +
      line("M860 240 V120 M800 160 L960 120 L960 200", "#6B4B3A", 9) +
      rect(938, 200, 44, 34, "#D8CFBC") +
      [
        [180, 740],
        [260, 760],
        [1010, 750],
      ]
        .map(
          ([x, y], i) =>
            person(x!, y!, ["#B4481E", "#0B6E69", "#6B4B8A"][i]!, 1.2) + rect(x! + 34, y! - 30, 60, 30, "#C4BAA6"),
        )
        .join(""),
  },
  {
    id: "mosque",
    subject: "Religions",
    title: "A dome and two towers by the water",
    says: "A mosque with a large dome and slim minarets is mirrored in water at dusk.",
    words: "mosque islam minaret dome prayer religion architecture east",
    draw: () =>
      sky("#5E6CA0", "#F5CFA0") +
      disc(960, 190, 40, "#F7E3B8") +
      disc(976, 180, 34, "#8A8AB0") +
      hills(520, 60, "#7A7A94", 4) +
      rect(330, 380, 540, 200, "#E8DDC8") +
      path("M430 390 Q430 210 600 160 Q770 210 770 390 Z", "#3C8A8A") +
      line("M600 160 V110", "#D9A832", 6) +
      disc(600, 104, 9, "#D9A832") +
      [
        [360, 0.55],
        [840, 0.55],
      ]
        .map(([x, s]) => at(x!, 390, path("M-120 0 Q-120 -120 0 -160 Q120 -120 120 0 Z", "#4A9A98"), s!))
        .join("") +
      [230, 970]
        .map(
          (x) =>
            rect(x - 24, 220, 48, 360, "#EFE6D2") +
            rect(x - 36, 330, 72, 16, "#CFC2A4") +
            poly(`${x - 26},222 ${x + 26},222 ${x},110`, "#3C8A8A"),
        )
        .join("") +
      many(6, (i) => path(`M${366 + i * 84} 580 V470 Q${394 + i * 84} 420 ${422 + i * 84} 470 V580 Z`, "#5C6A88")) +
      sea(580, "#6C7CA8", 9, "#F7E3B8") +
      path("M430 600 Q430 700 600 730 Q770 700 770 600 Z", "#3C8A8A", 'opacity=".35"'),
  },
  {
    id: "stupa",
    subject: "Religions",
    title: "A white dome with prayer flags",
    says: "A white stupa with painted eyes; strings of coloured flags; mountains of snow.",
    words: "buddhism stupa temple asia himalaya prayer religion monastery",
    draw: () =>
      sky("#6FA8DC", "#DCEBF2") +
      poly("0,520 260,170 460,480 700,120 980,460 1200,260 1200,520", "#8FA0B8") +
      poly("260,170 330,290 280,270 230,310 200,260", "#FFFFFF") +
      poly("700,120 790,240 730,220 670,260 620,230", "#FFFFFF") +
      ground(520, "#A8A078") +
      rect(300, 620, 600, 60, "#E7DFCF") +
      rect(360, 570, 480, 56, "#EFE6D2") +
      path("M390 576 Q390 370 600 360 Q810 370 810 576 Z", "#FBFAF4") +
      rect(520, 280, 160, 90, "#E5B53A") +
      [560, 640]
        .map((x) => path(`M${x - 28} 326 q28 -26 56 0 q-28 16 -56 0`, "#FFFFFF") + disc(x, 324, 10, "#1F4E7A"))
        .join("") +
      many(7, (i) => rect(540 + i * 8, 256 - i * 18, 120 - i * 16, 16, "#D9A832")) +
      [
        [600, 130, 60, 520],
        [600, 130, 1140, 520],
      ]
        .map(
          ([a, b, c, d]) =>
            line(`M${a} ${b} L${c} ${d}`, "#55585A", 3) +
            many(13, (i) => {
              const t = (i + 1) / 14;
              return rect(
                a! + (c! - a!) * t - 14,
                b! + (d! - b!) * t,
                28,
                30,
                ["#1F5F8A", "#FFFFFF", "#A8452C", "#4E7F4A", "#F2B632"][i % 5]!,
              );
            }),
        )
        .join("") +
      person(250, 740, "#8E2A2A", 1.2) +
      person(960, 750, "#8E2A2A", 1.2),
  },
  {
    id: "wall-on-hills",
    subject: "Asia",
    title: "A wall over the hills",
    says: "A long stone wall with watch towers runs over green hills.",
    words: "china wall great defence border asia empire",
    draw: () =>
      DAWN +
      hills(360, 200, "#A8B898", 6) +
      hills(480, 160, "#8FA57C", 11) +
      path(
        "M-20 560 Q140 420 300 500 T600 440 T880 340 T1220 260 L1220 300 Q1040 350 890 384 T610 486 T310 548 T-20 620 Z",
        "#C9B48C",
      ) +
      many(44, (i) => {
        const x = i * 28;
        const y = 508 - x * 0.2 + Math.sin(x / 95) * 30;
        return rect(x, y - 24, 13, 24, "#B49E74");
      }) +
      [
        [300, 470],
        [620, 420],
        [900, 320],
      ]
        .map(
          ([x, y], i) =>
            masonry(x! - 46 + i * 4, y! - 60, 92 - i * 14, 120 - i * 10, "#B9A47A", "#967F56", i + 2) +
            many(3, (k) => rect(x! - 40 + k * 28, y! - 76, 17, 18, "#B9A47A")) +
            path(`M${x! - 12} ${y! + 40} v-40 q12 -18 24 0 v40 Z`, "#4A3A2C"),
        )
        .join("") +
      hills(690, 130, "#6F8A52", 3) +
      [80, 200, 1000, 1120].map((x, i) => pine(x, 760 + (i % 2) * 20, 1.2)).join(""),
  },
  {
    id: "pagoda",
    subject: "Asia",
    title: "A pagoda among cherry trees",
    says: "A tower with five curved roofs beside blossoming trees and a small bridge.",
    words: "japan pagoda temple cherry blossom asia garden spring",
    draw: () =>
      sky("#F2D9DC", "#FBF3E8") +
      poly("700,560 950,250 1200,560", "#A9B3CC") +
      poly("950,250 1010,330 890,330", "#FFFFFF") +
      hills(560, 60, "#A8BE94", 4) +
      ground(600, "#8FA56A") +
      many(
        5,
        (i) =>
          rect(440 - i * -16, 520 - i * 96, 220 - i * 32, 84, "#A8342C") +
          many(3, (k) => rect(466 + i * 12 + k * (58 - i * 7), 540 - i * 96, 26, 40, "#F7F2E2")) +
          path(
            `M${370 + i * 22} ${524 - i * 96} Q550 ${470 - i * 96} ${730 - i * 22} ${524 - i * 96} Q${690 - i * 20} ${486 - i * 96} ${640 - i * 12} ${476 - i * 96} H${460 + i * 12} Q${410 + i * 20} ${486 - i * 96} ${370 + i * 22} ${524 - i * 96} Z`,
            "#3B4A50",
          ),
      ) +
      line("M550 96 V20", "#3B4A50", 8) +
      rect(420, 600, 260, 26, "#B5B1A6") +
      [
        [180, 660, 1.3],
        [900, 640, 1.2],
        [1080, 690, 1.5],
      ]
        .map(([x, y, s]) =>
          at(
            x!,
            y!,
            line("M0 0 Q10 -70 -20 -120 M0 -60 Q30 -90 50 -130", "#5C3D22", 13) +
              many(12, (i) =>
                disc(-70 + (i % 4) * 46, -120 - Math.floor(i / 4) * 34, 31, i % 3 ? "#F0A8B8" : "#F7C8D2"),
              ),
            s!,
          ),
        )
        .join("") +
      path("M0 740 Q600 690 1200 740 V800 H0 Z", "#6C9CB5") +
      path("M300 760 Q420 660 540 760", "none", 'stroke="#A8342C" stroke-width="17"'),
  },
  {
    id: "rice-terraces",
    subject: "Asia",
    title: "Rice on terraces",
    says: "Steps of flooded fields on a slope; people with wide hats plant rice.",
    words: "rice farming terraces asia field agriculture food",
    draw: () =>
      sky("#BFDDE5", "#F3F1DC") +
      hills(250, 150, "#7FA088", 5) +
      many(
        8,
        (i) =>
          path(
            `M-20 ${270 + i * 68} Q${220 + i * 20} ${220 + i * 74} 560 ${290 + i * 66} T1220 ${240 + i * 76} V${310 + i * 76} Q900 ${330 + i * 72} 560 ${350 + i * 66} T-20 ${320 + i * 68} Z`,
            i % 2 ? "#8DBE8A" : "#A9D3DC",
          ) +
          path(
            `M-20 ${316 + i * 68} Q${220 + i * 20} ${266 + i * 74} 560 ${338 + i * 66} T1220 ${292 + i * 76}`,
            "none",
            'stroke="#5F7F48" stroke-width="13"',
          ),
      ) +
      many(70, (i) => line(`M${(i * 83) % 1200} ${340 + ((i * 59) % 420)} l4 -18 m-4 18 l-5 -15`, "#4E7F4A", 3)) +
      [
        [300, 520],
        [420, 610],
        [760, 560],
        [900, 700],
      ]
        .map(([x, y], i) =>
          at(
            x!,
            y!,
            path("M-18 0 Q-10 -60 30 -66 L46 -40 L20 0 Z", ["#1F5F8A", "#A8452C", "#6B4B8A", "#0B6E69"][i]!) +
              disc(44, -66, 14, "#C48A5C") +
              poly("10,-66 84,-66 46,-100", "#E0C078"),
            1.2,
          ),
        )
        .join(""),
  },
  {
    id: "caravan",
    subject: "Trade",
    title: "A caravan in the desert",
    says: "Camels with loads walk over dunes in a row; a town with palms lies ahead.",
    words: "silk road camel desert trade merchants caravan sahara africa asia goods",
    draw: () =>
      sky("#E9B26C", "#FBE6C0") +
      sun(900, 200, 66) +
      path("M0 470 Q300 380 560 470 T1200 430 V800 H0 Z", "#E2B676") +
      path("M0 600 Q380 500 760 610 T1200 580 V800 H0 Z", "#D6A45F") +
      [1010, 1060, 1130].map((x) => palm(x, 450, 0.6)).join("") +
      rect(960, 400, 120, 50, "#C98F5C") +
      disc(1020, 400, 26, "#F0E2C0") +
      many(4, (i) =>
        at(
          180 + i * 210,
          650 - i * 18,
          path(
            "M-70 -60 Q-60 -96 -30 -92 Q-10 -140 20 -92 Q50 -96 62 -70 Q96 -70 100 -130 L124 -140 L142 -128 L118 -118 Q116 -52 62 -44 L58 0 H46 L42 -44 H-40 L-46 0 H-58 L-62 -44 Z",
            "#A8783F",
          ) + path("M-40 -96 Q-6 -150 44 -98 L50 -66 H-46 Z", ["#A8342C", "#1F5F8A", "#4E7F4A", "#6B4B8A"][i]!),
          1,
        ),
      ) +
      person(1010, 590, "#F7F2E2", 1.1, { skin: "#8A5B3C", hair: "#F7F2E2" }) +
      line("M950 560 Q820 580 880 520", "#5C3D22", 3) +
      path("M0 740 Q500 680 1200 750 V800 H0 Z", "#C48F4C"),
  },
  {
    id: "coins",
    subject: "Trade",
    title: "Coins and scales",
    says: "A balance with coins on one pan and weights on the other; stacks of coins.",
    words: "money coins bank merchant trade scales economy finance gold silver",
    draw: () =>
      wall("#DCE3DC", "#7A5636", 600) +
      rect(590, 150, 20, 420, "#A8842C") +
      rect(480, 560, 240, 30, "#8A6A1E") +
      line("M320 230 L880 190", "#A8842C", 16) +
      disc(600, 205, 20, "#D9A832") +
      [
        [320, 230, 0],
        [880, 190, 1],
      ]
        .map(
          ([x, y, k]) =>
            line(`M${x} ${y} L${x! - 100} ${y! + 210} M${x} ${y} L${x! + 100} ${y! + 210}`, "#6E675A", 4) +
            path(
              `M${x! - 120} ${y! + 210} H${x! + 120} Q${x! + 60} ${y! + 270} ${x} ${y! + 270} Q${x! - 60} ${y! + 270} ${x! - 120} ${y! + 210} Z`,
              "#C9A43C",
            ) +
            (k
              ? many(3, (i) => rect(x! - 76 + i * 52, y! + 210 - 40 - i * 12, 40, 40 + i * 12, "#6E7477", 'rx="6"'))
              : many(9, (i) =>
                  oval(x! - 60 + (i % 4) * 38, y! + 200 - Math.floor(i / 4) * 20, 26, 9, i % 2 ? "#F2CE5C" : "#D9A832"),
                )),
        )
        .join("") +
      [
        [190, 6],
        [270, 9],
        [980, 11],
        [1070, 5],
      ]
        .map(([x, c]) =>
          many(
            c!,
            (i) =>
              oval(x!, 690 - i * 16, 44, 15, "#A8842C") +
              oval(x!, 684 - i * 16, 44, 15, i === c! - 1 ? "#F7DE8A" : "#D9A832"),
          ),
        )
        .join(""),
  },
  {
    id: "caravel",
    subject: "Voyages",
    title: "Ships set out",
    says: "Three sailing ships leave a harbour at dawn.",
    words: "ship boat exploration voyage discovery ocean sail caravel atlantic navigation",
    draw: () =>
      DAWN +
      sun(240, 380, 56, "#F2B66C") +
      sea(460, "#4A86A5", 4, "#F7E3C1") +
      [
        [760, 560, 1.25],
        [420, 500, 0.7],
        [250, 480, 0.45],
      ]
        .map(([x, y, s]) =>
          at(
            x!,
            y!,
            path("M-210 -60 L-180 40 Q0 70 170 40 L230 -90 L150 -60 Q0 -30 -210 -60 Z", "#6B4B3A") +
              rect(-200, -96, 70, 44, "#7A5636") +
              line("M-150 -60 V-280 M0 -40 V-350 M130 -60 V-270", "#4E3B2C", 9) +
              sail(-210, -264, 110, 130) +
              sail(-80, -330, 160, 150) +
              sail(-60, -170, 130, 110, "#EFE6D2") +
              path("M90 -250 L220 -90 L96 -110 Z", "#F7F2E2") +
              line("M0 -230 H0", "#A8342C", 9) +
              path("M-14 -270 H14 V-250 H34 V-222 H14 V-200 H-14 V-222 H-34 V-250 H-14 Z", "#A8342C") +
              path("M0 -350 q30 -10 56 6 q-26 4 -56 20 Z", "#D9A832"),
            s!,
          ),
        )
        .join("") +
      sea(640, "#3C7592", 8, "#F7E3C1") +
      path("M1000 800 V620 Q1090 590 1200 600 V800 Z", "#8A7A5A") +
      rect(1090, 480, 60, 130, "#E7DFCF") +
      poly("1080,482 1160,482 1120,430", "#A8452C"),
  },
  {
    id: "compass-and-map",
    subject: "Voyages",
    title: "A chart with compass and dividers",
    says: "A sea chart with a coast, a compass rose and a pair of dividers.",
    words: "map navigation compass chart exploration geography globe voyage dividers",
    draw: () =>
      wall("#5C4632", "#4A3828", 800) +
      path("M90 90 H1110 L1090 720 L120 700 Z", "#EBD9AE") +
      path("M90 90 H520 Q470 170 540 240 Q620 300 560 380 Q480 430 520 520 Q560 610 470 706 L120 700 Z", "#C9BE8A") +
      path("M900 92 Q840 190 920 240 Q1010 260 1000 350 L1102 360 L1110 90 Z", "#C9BE8A") +
      many(
        9,
        (i) =>
          line(`M${120 + i * 118} 96 L${140 + i * 116} 706`, "#B49E6A", 2) +
          line(`M96 ${150 + i * 66} L1100 ${150 + i * 66}`, "#B49E6A", 2),
      ) +
      at(
        790,
        500,
        disc(0, 0, 130, "none", 'stroke="#7A5636" stroke-width="4"') +
          many(8, (i) =>
            at(
              0,
              0,
              poly(
                i % 2 ? "0,-84 12,-12 0,0 -12,-12" : "0,-124 17,-17 0,0 -17,-17",
                i % 2 ? "#A8845A" : i === 0 ? "#A8342C" : "#2F4A5A",
              ),
              1,
              i * 45,
            ),
          ),
      ) +
      line("M470 250 Q620 330 700 430 T900 640", "#A8342C", 5, 'stroke-dasharray="4 16"') +
      at(
        330,
        360,
        line("M0 0 L-70 250 M0 0 L96 240", "#B49A3C", 15) +
          disc(0, 0, 22, "#D9B84C") +
          line("M-70 250 l-4 26 M96 240 l8 24", "#55585A", 6),
      ) +
      path("M560 620 q26 -40 54 0 q-28 14 -54 0 m54 0 l18 -14 v26 Z", "#2F5D7A"),
  },
  {
    id: "new-coast",
    subject: "Voyages",
    title: "Two peoples meet on a beach",
    says: "People of the coast and people from a ship stand facing each other on a beach.",
    words: "encounter contact indigenous colonisation exploration first meeting americas pacific",
    draw: () =>
      sky("#8CC9DC", "#F3EFD9") +
      sea(380, "#3C93A8", 3) +
      at(
        900,
        400,
        path("M-120 -20 Q0 20 120 -20 L100 30 H-90 Z", "#6B4B3A") +
          line("M-50 -20 V-150 M30 -16 V-180", "#4E3B2C", 7) +
          sail(-84, -140, 70, 80) +
          sail(-6, -170, 84, 100),
        1,
      ) +
      path("M0 560 Q400 470 800 540 T1200 500 V800 H0 Z", "#EAD7A5") +
      [80, 200].map((x, i) => palm(x, 600 + i * 30, 1.5)).join("") +
      [
        [330, 700],
        [410, 730],
        [270, 740],
      ]
        .map(
          ([x, y], i) =>
            person(x!, y!, ["#B4653C", "#D9A832", "#8E3A2A"][i]!, 1.5, { skin: "#9A6A44", hair: "#1E1A18" }) +
            (i === 0 ? poly(`${x! - 6},${y! - 190} ${x! + 4},${y! - 240} ${x! + 12},${y! - 190}`, "#A8342C") : ""),
        )
        .join("") +
      [
        [740, 720],
        [830, 740],
      ]
        .map(([x, y], i) => person(x!, y!, ["#2F4A7A", "#4E3B2C"][i]!, 1.5, { hat: "#2A2420" }))
        .join("") +
      path("M960 700 Q1060 740 1170 690 L1140 760 H990 Z", "#7A5636") +
      rect(560, 700, 60, 30, "#A57B52") +
      disc(580, 690, 16, "#A8342C") +
      disc(604, 692, 14, "#4E7F4A"),
  },
  {
    id: "printing-shop",
    subject: "Printing",
    title: "Pages hang up to dry",
    says: "A printer pulls the bar of a wooden press; printed sheets hang on lines.",
    words: "printing press book newspaper pamphlet reformation media printer type",
    draw: () =>
      wall("#E3D3AE", "#8A6A45", 620) +
      line("M0 120 Q600 160 1200 110", "#6B4B3A", 4) +
      many(9, (i) =>
        at(
          80 + i * 130,
          126 + Math.sin(i) * 8,
          rect(-40, 0, 80, 104, "#F7F2E2") + many(6, (k) => rect(-30, 12 + k * 14, 60 - (k % 3) * 10, 5, "#4A4038")),
          1,
          -4 + (i % 3) * 4,
        ),
      ) +
      rect(420, 250, 40, 430, "#5C3D22") +
      rect(700, 250, 40, 430, "#5C3D22") +
      rect(390, 240, 380, 50, "#6B4B3A") +
      rect(560, 290, 40, 150, "#3B2C20") +
      rect(490, 440, 180, 30, "#2A2420") +
      rect(380, 540, 430, 40, "#7A5636") +
      rect(480, 520, 200, 20, "#F7F2E2") +
      line("M580 350 L850 400", "#3B2C20", 16) +
      person(900, 700, "#1F5F8A", 2.3) +
      line("M880 560 L840 410", "#E8C39E", 17) +
      rect(120, 480, 220, 200, "#7A5636") +
      many(24, (i) => rect(132 + (i % 6) * 34, 494 + Math.floor(i / 6) * 46, 28, 38, "#A57B52")),
  },
  {
    id: "quill-and-seal",
    subject: "Law and government",
    title: "A deed with a seal",
    says: "A written deed with a red seal on a ribbon, a quill and an ink pot.",
    words: "charter document law treaty constitution quill seal government rights contract",
    draw: () =>
      wall("#4E5C50", "#6B4B3A", 0) +
      path("M230 90 Q600 60 960 100 L940 680 Q600 640 250 690 Z", "#F2E6C4") +
      many(13, (i) =>
        line(
          `M310 ${170 + i * 33} Q600 ${160 + i * 33} ${870 - (i % 4) * 40} ${172 + i * 33}`,
          "#4A4038",
          i === 0 ? 13 : 6,
        ),
      ) +
      path("M560 610 L540 760 L580 730 L600 770 L630 612 Z", "#1F5F8A") +
      disc(595, 640, 66, "#A8342C") +
      disc(595, 640, 48, "#8E2A24") +
      path("M566 660 V624 L595 600 L624 624 V660 Z", "#C4483C") +
      path("M960 640 H1100 L1120 720 H940 Z", "#2F4A5A") +
      oval(1030, 640, 70, 20, "#1E2A30") +
      line("M1030 630 L1100 330", "#EFE6D2", 7) +
      path("M1098 350 Q1040 260 1120 130 Q1180 250 1098 350 Z", "#F7F2E2"),
  },
  {
    id: "telescope",
    subject: "Science",
    title: "A telescope at a window",
    says: "A brass telescope on a stand points through an open window at the moon.",
    words: "astronomy telescope science moon planets observation revolution lens",
    draw: () =>
      wall("#5A4A6A", "#3B2C3A", 640) +
      rect(560, 70, 520, 480, "#16243F") +
      stars(7, 0) +
      many(40, (i) => disc(570 + ((i * 97) % 500), 80 + ((i * 61) % 460), 2, "#F3EFD9")) +
      disc(900, 210, 64, "#F3EFD9") +
      [
        [880, 190, 13],
        [920, 230, 9],
        [906, 180, 7],
      ]
        .map(([x, y, r]) => disc(x!, y!, r!, "#D8D2B8"))
        .join("") +
      line("M820 70 V550 M560 310 H1080", "#8A6A45", 13) +
      rect(546, 56, 548, 20, "#8A6A45") +
      rect(546, 540, 548, 24, "#8A6A45") +
      at(
        430,
        470,
        rect(-230, -32, 300, 64, "#B4903C", 'rx="10"') +
          rect(60, -42, 200, 84, "#D9B24C", 'rx="10"') +
          rect(250, -50, 26, 100, "#8A6A1E") +
          rect(-260, -20, 40, 40, "#6E5A1E"),
        1,
        -28,
      ) +
      line("M420 500 L300 770 M420 500 L430 780 M420 500 L560 770", "#5C3D22", 15) +
      rect(120, 560, 160, 16, "#6B4B3A") +
      book(130, 470, 34, 92, "#A8342C") +
      book(170, 484, 30, 78, "#1F5F8A") +
      book(204, 464, 38, 98, "#4E7F4A"),
  },
  {
    id: "alchemy-bench",
    subject: "Science",
    title: "Glass vessels on a bench",
    says: "Flasks with coloured liquids, a burner and a still stand on a bench.",
    words: "chemistry laboratory flask experiment science alchemy school lesson",
    draw: () =>
      wall("#DCE6E3", "#7A5636", 620) +
      rect(60, 610, 1080, 34, "#5C4632") +
      rect(80, 200, 420, 14, "#8A6A45") +
      many(
        6,
        (i) =>
          rect(
            100 + i * 66,
            130,
            40,
            70,
            ["#A8452C", "#4E7F4A", "#1F5F8A", "#D9A832", "#6B4B8A", "#0B6E69"][i]!,
            'rx="8"',
          ) + rect(110 + i * 66, 112, 20, 20, "#C9B88C"),
      ) +
      at(
        330,
        610,
        path("M-24 -230 H24 V-150 L96 -20 Q100 0 80 0 H-80 Q-100 0 -96 -20 L-24 -150 Z", "#FFFFFF", 'opacity=".7"') +
          path("M-60 -86 H60 L96 -20 Q100 0 80 0 H-80 Q-100 0 -96 -20 Z", "#4E9A8A"),
      ) +
      at(
        640,
        540,
        disc(0, -90, 90, "#FFFFFF", 'opacity=".7"') +
          path("M-84 -70 A88 88 0 0 0 84 -70 Z", "#C9743C") +
          rect(-18, -250, 36, 90, "#FFFFFF", 'opacity=".7"') +
          line("M0 -250 Q60 -300 190 -150", "#BFD0D0", 20),
      ) +
      line("M560 540 V610 M720 540 V610 M540 540 H740", "#55585A", 9) +
      path("M640 606 q-22 -30 0 -60 q22 30 0 60", "#F2A632") +
      at(
        860,
        610,
        path("M-50 -150 H50 V-20 Q50 0 30 0 H-30 Q-50 0 -50 -20 Z", "#FFFFFF", 'opacity=".7"') +
          rect(-48, -60, 96, 58, "#C9743C"),
      ) +
      rect(960, 470, 160, 14, "#8A6A45") +
      many(
        4,
        (i) =>
          rect(974 + i * 38, 440, 22, 160, "#FFFFFF", 'opacity=".75" rx="10"') +
          rect(
            974 + i * 38,
            500 + i * 14,
            22,
            100 - i * 14,
            ["#A8342C", "#D9A832", "#4E7F4A", "#1F5F8A"][i]!,
            'rx="10"',
          ),
      ),
  },
  {
    id: "plague-doctor-street",
    subject: "Medicine",
    title: "A closed street in a time of sickness",
    says: "Doors are shut and marked; a cart waits; a doctor with herbs walks by.",
    words: "plague epidemic disease black death medicine quarantine town health",
    draw: () =>
      sky("#8A94A5", "#D3CFC4") +
      [
        [20, 240, "#A89E8C"],
        [280, 260, "#B7AD98"],
        [560, 240, "#9E9482"],
        [820, 360, "#AAA08C"],
      ]
        .map(
          ([x, w, c], i) =>
            house(Number(x), 620, Number(w), 300 + (i % 2) * 50, String(c), "#5C4A44", "#3B4046") +
            line(
              `M${Number(x) + Number(w) * 0.44} 560 l${Number(w) * 0.12} 50 m0 -50 l-${Number(w) * 0.12} 50`,
              "#A8342C",
              8,
            ),
        )
        .join("") +
      ground(620, "#857E73") +
      at(
        380,
        740,
        rect(-150, -100, 230, 60, "#5C4632") +
          line("M80 -70 L220 -50", "#5C4632", 10) +
          wheel(-80, -30, 44) +
          wheel(30, -30, 44) +
          path("M-140 -100 Q-60 -160 70 -100 Z", "#D3CFC4"),
      ) +
      person(800, 750, "#2A2E36", 2, { hat: "#1E2228", skin: "#E0D4B8" }) +
      poly("808,530 850,548 808,546", "#D8CCB0") +
      line("M840 640 L880 590", "#5C3D22", 8) +
      many(5, (i) => disc(872 + i * 8, 582 - (i % 2) * 12, 10, "#4E7F4A")),
  },
  {
    id: "stepped-pyramid",
    subject: "Americas",
    title: "A stepped pyramid in the forest",
    says: "A stone pyramid with a stairway and a small temple rises over trees; a parrot flies.",
    words: "maya aztec pyramid temple mesoamerica america forest civilisation",
    draw: () =>
      sky("#9CD0DC", "#F0F1D9") +
      hills(430, 120, "#5E8A5C", 5) +
      many(6, (i) =>
        poly(
          `${250 + i * 56},${640 - i * 74} ${950 - i * 56},${640 - i * 74} ${930 - i * 56},${566 - i * 74} ${270 + i * 56},${566 - i * 74}`,
          i % 2 ? "#B9B29C" : "#C9C2AC",
        ),
      ) +
      rect(530, 130, 140, 80, "#D6CFB8") +
      rect(582, 150, 36, 60, "#4A4438") +
      rect(516, 112, 168, 22, "#A8A18C") +
      poly("520,640 680,640 636,200 564,200", "#DDD6C0") +
      many(20, (i) => rect(522 + i * 2.2, 624 - i * 21, 156 - i * 4.4, 4, "#A8A18C")) +
      ground(636, "#6F9450") +
      many(13, (i) =>
        tree(20 + i * 98, 700 + (i % 3) * 36, 0.9 + (i % 2) * 0.3, ["#3F7048", "#4E8A50", "#5E9A5C"][i % 3]!),
      ) +
      at(
        300,
        230,
        path("M0 0 Q40 -44 90 -20 Q60 4 20 16 Z", "#A8342C") +
          path("M30 0 Q10 -60 60 -70 Q64 -30 50 -6 Z", "#1F5F8A") +
          path("M6 6 L-70 40 L-20 18 Z", "#D9A832"),
      ),
  },
  {
    id: "towers-of-mud",
    subject: "Africa",
    title: "A town of clay by a great river",
    says: "A clay building with wooden beams in its walls; boats on a wide river.",
    words: "africa mali timbuktu mosque clay mud brick town empire gold salt",
    draw: () =>
      sky("#E9C08A", "#FBEBCB") +
      sun(180, 160, 46) +
      ground(470, "#D9A860") +
      rect(300, 300, 620, 240, "#C48F5A") +
      [340, 600, 840]
        .map(
          (x, i) =>
            path(
              `M${x - 60} 540 L${x - 44} ${i === 1 ? 130 : 190} Q${x} ${i === 1 ? 90 : 150} ${x + 44} ${i === 1 ? 130 : 190} L${x + 60} 540 Z`,
              "#CF9C66",
            ) +
            many(12, (k) =>
              rect(x - 62 + (k % 3) * 50, (i === 1 ? 200 : 250) + Math.floor(k / 3) * 66, 24, 8, "#5C3D22"),
            ),
        )
        .join("") +
      many(7, (i) => poly(`${430 + i * 62},300 ${450 + i * 62},260 ${470 + i * 62},300`, "#C48F5A")) +
      path("M570 540 V470 Q600 440 630 470 V540 Z", "#5C3D22") +
      [
        [120, 500],
        [1010, 510],
      ]
        .map(([x, y]) => rect(x!, y! - 60, 120, 90, "#B9854F") + rect(x! + 46, y! - 20, 30, 50, "#5C3D22"))
        .join("") +
      sea(600, "#5C9CB5", 7) +
      [
        [300, 690],
        [800, 660],
      ]
        .map(
          ([x, y]) =>
            path(
              `M${x! - 130} ${y! - 10} Q${x} ${y! + 44} ${x! + 130} ${y! - 16} Q${x} ${y! + 10} ${x! - 130} ${y! - 10} Z`,
              "#5C3D22",
            ) + person(x! - 20, y! + 6, "#1F5F8A", 0.9, { skin: "#5C3D26" }),
        )
        .join("") +
      [60, 1130].map((x) => palm(x, 610, 1)).join(""),
  },
  {
    id: "savanna",
    subject: "Africa",
    title: "Elephants on the savanna",
    says: "Two elephants walk under a broad tree; a herd in the distance; evening light.",
    words: "africa savanna elephant animals wildlife nature safari",
    draw: () => {
      const elephant = (x: number, y: number, s: number) =>
        at(
          x,
          y,
          path(
            "M-120 0 V-90 Q-120 -170 -20 -170 Q60 -170 84 -120 Q130 -150 160 -110 Q176 -60 166 0 Q160 22 146 12 Q152 -40 138 -64 Q110 -50 96 -60 L92 0 H52 L48 -54 H-50 L-58 0 H-88 L-92 -40 L-96 0 Z",
            "#6E7074",
          ) +
            path("M76 -136 Q120 -150 118 -86 Q96 -60 74 -86 Z", "#5C5E62") +
            disc(132, -104, 4, "#16323A") +
            line("M146 -66 q24 14 36 4", "#F3EFD9", 7),
          s,
        );
      return (
        sky("#E58A4C", "#F9DFA5") +
        sun(640, 330, 74, "#F7C65C") +
        hills(470, 40, "#B98A4C", 4) +
        ground(500, "#CFA653") +
        many(7, (i) => elephant(620 + i * 74, 520, 0.13)) +
        line("M220 700 Q230 560 200 470 M216 560 Q280 500 330 470", "#4A3220", 26) +
        oval(220, 420, 250, 52, "#5E7038") +
        oval(330, 390, 180, 42, "#6E8044") +
        elephant(560, 720, 1.4) +
        elephant(900, 740, 0.9) +
        many(26, (i) => line(`M${i * 47} 790 l8 -44 m-8 44 l-10 -38`, "#8A7A30", 4))
      );
    },
  },
];
