// Long because every picture is many shapes.

import type { Drawn } from "../shelf-picture";
import {
  at,
  chance,
  cloud,
  column,
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
  NIGHT,
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
} from "./shapes";

const reed = (x: number, y: number, h: number) =>
  line(`M${x} ${y} q6 -${h / 2} -4 -${h}`, "#6D8A3C", 6) + oval(x - 4, y - h, 6, 22, "#7A5A3A");
const ox = (x: number, y: number, s: number, hide = "#8A5B3C") =>
  at(
    x,
    y,
    oval(0, -62, 76, 40, hide) +
      [-52, -30, 34, 54].map((l) => rect(l, -44, 13, 44, hide)).join("") +
      oval(84, -84, 32, 24, hide) +
      line("M88 -104 q16 -24 34 -16", "#EFE6D2", 7) +
      disc(96, -90, 3.5, "#16323A") +
      line("M-74 -70 q-20 20 -14 46", hide, 5),
    s,
  );
const jar = (x: number, y: number, s: number, body: string, band: string) =>
  at(
    x,
    y,
    path("M-26 -150 H26 L20 -128 Q66 -104 58 -52 Q50 -10 24 0 H-24 Q-50 -10 -58 -52 Q-66 -104 -20 -128 Z", body) +
      path("M-58 -72 Q0 -56 58 -72 L56 -46 Q0 -30 -56 -46 Z", band) +
      line("M-26 -140 q-36 12 -28 48 M26 -140 q36 12 28 48", body, 9),
    s,
  );

/** From the first hearths to the end of Rome. */
export const EARLY: Drawn[] = [
  {
    id: "cave-painting",
    subject: "Stone Age",
    title: "Animals painted in a cave",
    says: "A small lamp lights bison and hands painted on the wall of a cave.",
    words: "cave art prehistory palaeolithic bison hand hunters",
    draw: () =>
      rect(0, 0, W, 800, "#3A2A22") +
      oval(600, 400, 640, 420, "#B88A5A") +
      oval(600, 380, 500, 300, "#CFA06A") +
      [
        [330, 330, 1, "#5C2E1E"],
        [760, 290, 1.2, "#3B2018"],
        [560, 520, 0.9, "#7A3420"],
      ]
        .map(([x, y, s, c]) =>
          at(
            Number(x),
            Number(y),
            path(
              "M-120 20 Q-110 -50 -40 -56 Q20 -96 80 -50 Q130 -44 136 -6 L112 4 Q90 24 60 22 L64 84 H48 L38 28 H-58 L-64 84 H-80 L-88 28 Z",
              String(c),
            ) + line("M112 -40 q22 -26 40 -14", String(c), 7),
            Number(s),
          ),
        )
        .join("") +
      [
        [210, 520],
        [290, 560],
        [930, 520],
        [1000, 470],
      ]
        .map(([x, y]) =>
          at(
            x!,
            y!,
            many(5, (i) =>
              line(
                `M0 0 L${Math.round(46 * Math.sin(-0.9 + i * 0.42))} ${Math.round(-52 * Math.cos(-0.9 + i * 0.42))}`,
                "#8A3B22",
                11,
              ),
            ) + disc(0, 2, 24, "#8A3B22"),
          ),
        )
        .join("") +
      path("M0 640 Q300 590 600 660 T1200 630 V800 H0 Z", "#2A1D18") +
      oval(640, 706, 60, 16, "#5C4632") +
      path("M640 690 q-26 -30 0 -70 q26 40 0 70", "#F2B632") +
      path("M640 690 q-12 -18 0 -40 q12 22 0 40", "#FBE7A8"),
  },
  {
    id: "hearth-and-huts",
    subject: "Stone Age",
    title: "Huts around a hearth",
    says: "Two round huts of hides stand by a fire; a hunter carries a spear.",
    words: "stone age settlement camp hunters gatherers fire tent mesolithic neolithic",
    draw: () =>
      DAWN +
      hills(480, 120, "#9AAF8C", 3) +
      ground(560, "#8FA06A") +
      [120, 220, 980, 1100].map((x, i) => pine(x, 580 + (i % 2) * 20, 1.3)).join("") +
      [
        [360, 640, 1],
        [850, 620, 0.86],
      ]
        .map(([x, y, s]) =>
          at(
            x!,
            y!,
            path("M-150 0 Q-120 -180 0 -220 Q120 -180 150 0 Z", "#A57B52") +
              many(5, (i) => line(`M${-100 + i * 50} 0 Q${-60 + i * 30} -150 0 -222`, "#7A5636", 5)) +
              path("M-34 0 Q-30 -92 0 -104 Q30 -92 34 0 Z", "#3B2A1C") +
              line("M-20 -250 L16 -206 M20 -250 L-16 -206", "#5C3D22", 7),
            s!,
          ),
        )
        .join("") +
      many(7, (i) => oval(560 + i * 22, 690 + (i % 2) * 8, 15, 10, "#7C7F80")) +
      path("M625 676 q-44 -46 0 -112 q44 60 0 112", "#E5762E") +
      path("M625 676 q-22 -28 0 -66 q22 36 0 66", "#F7D774") +
      person(730, 700, "#7A5636", 1.3) +
      line("M762 712 L770 520", "#5C3D22", 6) +
      poly("770,500 762,526 778,526", "#55585A"),
  },
  {
    id: "hand-axe",
    subject: "Stone Age",
    title: "A hand axe of flint",
    says: "A pointed stone tool with chipped edges, and flakes beside it.",
    words: "tool flint palaeolithic knapping stone archaeology find",
    draw: () =>
      wall("#E7DFCF", "#CDBF9F", 560) +
      path("M600 90 Q760 250 740 500 Q700 650 600 660 Q500 650 460 500 Q440 250 600 90 Z", "#6E7477") +
      [
        [600, 130, 520, 330, 600, 420],
        [600, 130, 690, 340, 600, 420],
        [500, 400, 470, 520, 560, 560],
        [700, 400, 730, 520, 640, 560],
        [600, 420, 560, 560, 640, 560],
      ]
        .map((p, i) =>
          poly(
            `${p[0]},${p[1]} ${p[2]},${p[3]} ${p[4]},${p[5]}`,
            ["#8B9194", "#7B8184", "#5F6568", "#575D60", "#9AA0A3"][i]!,
          ),
        )
        .join("") +
      [
        [260, 640, -20],
        [340, 690, 30],
        [890, 670, 10],
        [980, 630, -35],
      ]
        .map(([x, y, t]) =>
          at(
            x!,
            y!,
            path("M-50 0 Q-10 -36 56 -10 Q20 26 -50 0", "#7B8184") + line("M-30 -2 Q0 -18 40 -10", "#A5ABAE", 3),
            1,
            t,
          ),
        )
        .join("") +
      rect(330, 740, 540, 8, "#16323A") +
      many(10, (i) => rect(330 + i * 54, 736, 27, 16, i % 2 ? "#F7F2E2" : "#16323A")),
  },
  {
    id: "standing-stones",
    subject: "Stone Age",
    title: "A ring of standing stones",
    says: "Tall stones in a circle, some with stones laid across, at sunrise.",
    words: "megalith stone circle monument neolithic bronze age sunrise solstice",
    draw: () =>
      sky("#E9B68C", "#F8E6BF") +
      sun(640, 430, 60) +
      hills(500, 60, "#A9B08A", 5) +
      ground(540, "#7F9560") +
      [
        [250, 560, 0.7],
        [390, 540, 0.55],
        [840, 540, 0.55],
        [980, 560, 0.7],
      ]
        .map(([x, y, s]) => at(x!, y!, rect(-40, -230, 80, 230, "#7C7F80", 'rx="14"'), s!))
        .join("") +
      [
        [330, 690],
        [690, 700],
      ]
        .map(
          ([x, y]) =>
            path(`M${x} ${y} l10 -300 q36 -24 72 0 l8 300 Z`, "#8E9192") +
            path(`M${x! + 170} ${y} l8 -296 q36 -24 72 0 l12 296 Z`, "#8E9192") +
            path(`M${x! - 10} ${y! - 300} q140 -50 290 -4 l-6 -56 q-140 -34 -278 0 Z`, "#A0A3A4"),
        )
        .join("") +
      person(1040, 720, "#B4481E", 1.2),
  },
  {
    id: "pyramids",
    subject: "Ancient Egypt",
    title: "Pyramids by the river",
    says: "Three pyramids behind palms; a boat with a square sail on the river.",
    words: "egypt pharaoh nile tomb old kingdom desert giza africa",
    draw: () =>
      sky("#F0C987", "#FBEBC8") +
      sun(980, 170, 54) +
      ground(470, "#E2BE82") +
      [
        [520, 470, 330],
        [250, 470, 220],
        [860, 470, 200],
      ]
        .map(
          ([x, y, s]) =>
            poly(`${x! - s!},${y} ${x},${y! - s! * 1.05} ${x! + s! * 0.3},${y}`, "#D9A860") +
            poly(`${x! + s! * 0.3},${y} ${x},${y! - s! * 1.05} ${x! + s!},${y}`, "#B98443"),
        )
        .join("") +
      sea(580, "#5C9CB5", 9) +
      [90, 190, 1090].map((x, i) => palm(x, 600 - i * 4, 1.1)).join("") +
      many(12, (i) => reed(30 + i * 18, 640 + (i % 3) * 10, 60)) +
      at(
        700,
        700,
        path("M-150 -30 Q-120 30 0 30 Q120 30 160 -44 Q100 -6 0 -6 Q-100 -6 -150 -30 Z", "#8A5B3C") +
          rect(-6, -230, 10, 226, "#5C3D22") +
          path("M-100 -214 H108 L96 -60 H-88 Z", "#F7F2E2") +
          person(-70, -4, "#F7F2E2", 0.6, { skin: "#9A6A44" }) +
          line("M110 -10 L160 60", "#5C3D22", 7),
      ),
  },
  {
    id: "scribe",
    subject: "Ancient Egypt",
    title: "A scribe with a roll of papyrus",
    says: "A scribe sits cross-legged and writes signs on papyrus.",
    words: "egypt writing hieroglyphs papyrus school office africa",
    draw: () =>
      wall("#EAD9AE", "#B9925A", 620) +
      many(4, (c) =>
        many(5, (r) =>
          at(
            120 + c * 84 + (c > 1 ? 660 : 0),
            90 + r * 92,
            [
              disc(0, 0, 17, "#A8452C") + disc(0, 0, 6, "#EAD9AE"),
              path("M-22 10 q22 -40 44 0 Z", "#1F5F8A"),
              line("M-22 0 q11 -14 22 0 t22 0", "#1F5F8A", 6),
              poly("-16,18 0,-18 16,18", "#4E7F4A"),
              rect(-6, -22, 12, 44, "#A8452C"),
            ][(c * 2 + r) % 5]!,
          ),
        ),
      ) +
      at(
        600,
        680,
        path("M-210 0 Q-190 -110 -60 -110 H60 Q190 -110 210 0 Z", "#F7F2E2") +
          path("M-86 -100 L-70 -300 Q0 -330 70 -300 L86 -100 Z", "#A8734A") +
          disc(0, -370, 62, "#A8734A") +
          path(
            "M-76 -350 Q-80 -446 0 -446 Q80 -446 76 -350 L66 -280 H44 L46 -380 Q0 -400 -46 -380 L-44 -280 H-66 Z",
            "#1E2A30",
          ) +
          [-22, 22].map((x) => oval(x, -372, 12, 7, "#FFFFFF") + disc(x, -372, 5, "#16323A")).join("") +
          line("M-14 -334 H14", "#6B3F26", 5) +
          line("M72 -280 Q150 -200 90 -120", "#A8734A", 34) +
          line("M-72 -280 Q-140 -200 -80 -130", "#A8734A", 34) +
          path("M-150 -120 H150 L164 -60 H-164 Z", "#F0E2B4") +
          many(4, (i) => line(`M${-120} ${-108 + i * 13} H${60 - i * 20}`, "#3B2A1C", 4)) +
          line("M92 -116 L134 -176", "#3B2A1C", 7),
      ),
  },
  {
    id: "ziggurat",
    subject: "Mesopotamia",
    title: "A stepped temple between two rivers",
    says: "A temple of mud brick rises in steps, with stairs in the middle.",
    words: "ziggurat sumer babylon mesopotamia iraq mud brick temple city bronze age",
    draw: () =>
      DAY +
      cloud(240, 150, 1) +
      ground(600, "#D8B982") +
      [
        [190, 440, 820, 170],
        [300, 300, 600, 150],
        [410, 190, 380, 120],
      ]
        .map(
          ([x, y, w, h], i) =>
            poly(
              `${x! - 20},${y! + h!} ${x! + 20},${y} ${x! + w! - 20},${y} ${x! + w! + 20},${y! + h!}`,
              ["#B98650", "#C6955E", "#D2A46E"][i]!,
            ) +
            many(Math.floor(w! / 70), (k) => rect(x! + 40 + k * 66, y! + 12, 16, h! - 20, "#A5743F", 'opacity=".5"')),
        )
        .join("") +
      rect(500, 110, 200, 84, "#3C6E9A") +
      rect(570, 130, 60, 64, "#1E3A55") +
      poly("560,610 640,610 622,194 578,194", "#E7CFA0") +
      many(18, (i) => rect(562 + i * 0.9, 590 - i * 22, 76 - i * 1.8, 4, "#B98650")) +
      sea(690, "#5C9CB5", 4) +
      [70, 1090, 1150].map((x) => palm(x, 690, 1.2)).join("") +
      person(480, 680, "#A8452C", 1) +
      person(530, 684, "#1F5F8A", 1),
  },
  {
    id: "clay-tablet",
    subject: "Mesopotamia",
    title: "A clay tablet with wedge-shaped writing",
    says: "A tablet of clay, covered with lines of wedges, and the reed it was written with.",
    words: "cuneiform writing tablet clay sumer babylon law school account",
    draw: () => {
      const r = chance(11);
      const wedge = (x: number, y: number, t: number) =>
        at(x, y, poly("-4,-9 20,0 -4,9", "#7A5634") + line("M14 0 H30", "#7A5634", 3), 1, t);
      return (
        wall("#E9E2D4", "#B9A98A", 640) +
        rect(330, 90, 540, 600, "#8F6A44", 'rx="54"') +
        rect(320, 78, 540, 600, "#C99B68", 'rx="54"') +
        many(
          9,
          (row) =>
            line(`M360 ${140 + row * 58} H820`, "#B48653", 3) +
            many(9, (k) =>
              wedge(386 + k * 48 + r() * 12, 170 + row * 58 + r() * 8, [0, 0, 90, 45][Math.floor(r() * 4)]!),
            ),
        ) +
        at(960, 560, rect(-14, -330, 28, 360, "#B7A252", 'rx="10"') + poly("-14,30 14,30 14,58", "#8A7A36"), 1, 18)
      );
    },
  },
  {
    id: "greek-temple",
    subject: "Ancient Greece",
    title: "A temple on a hill above the sea",
    says: "A white temple with columns and a gable stands on a rock above the sea.",
    words: "greece temple columns acropolis athens classical architecture gods",
    draw: () =>
      sky("#7DB4DC", "#E8F1EE") +
      sea(470, "#3F83B0", 5) +
      hills(480, 90, "#8FA08C", 8) +
      path("M60 800 L190 560 Q300 500 460 506 H880 Q1010 520 1060 640 L1200 720 V800 Z", "#B9A57A") +
      rect(330, 486, 560, 24, "#E4DAC2") +
      rect(350, 466, 520, 22, "#EFE6D2") +
      many(8, (i) => column(386 + i * 64, 470, 190, 32)) +
      rect(344, 236, 532, 32, "#EFE6D2") +
      many(10, (i) => rect(360 + i * 52, 244, 20, 18, "#B4653C")) +
      poly("330,236 890,236 610,130", "#E4DAC2") +
      poly("400,226 820,226 610,148", "#C98F5C") +
      [230, 980, 1090]
        .map((x, i) => at(x, 620 + i * 26, path("M0 0 Q-16 -90 0 -130 Q16 -90 0 0", "#3F6B4F"), 1.1))
        .join(""),
  },
  {
    id: "theatre-of-stone",
    subject: "Ancient Greece",
    title: "An open theatre in rows of stone",
    says: "Curved rows of seats rise around a round stage; two actors wear masks.",
    words: "greece theatre drama comedy tragedy mask actors stage audience",
    draw: () =>
      DAY +
      hills(260, 120, "#7F9A74", 2) +
      many(8, (i) =>
        path(
          `M${60 + i * 56} ${240 + i * 44} Q600 ${420 + i * 30} ${1140 - i * 56} ${240 + i * 44} L${1140 - i * 56} ${268 + i * 44} Q600 ${448 + i * 30} ${60 + i * 56} ${268 + i * 44} Z`,
          i % 2 ? "#CDBF9F" : "#E0D5BA",
        ),
      ) +
      many(26, (i) =>
        disc(160 + ((i * 137) % 880), 300 + ((i * 61) % 150), 10, ["#A8452C", "#1F5F8A", "#6B4B8A", "#4E7F4A"][i % 4]!),
      ) +
      path("M0 800 V690 Q600 600 1200 690 V800 Z", "#B9A57A") +
      oval(600, 720, 320, 70, "#E7D9B8") +
      [
        [500, "#A8452C", 1],
        [700, "#1F5F8A", -1],
      ]
        .map(([x, c, m]) =>
          at(
            Number(x),
            760,
            path("M-46 0 L-28 -150 Q0 -170 28 -150 L46 0 Z", String(c)) +
              line(`M${24 * Number(m)} -140 L${84 * Number(m)} -190`, "#E8C39E", 14) +
              oval(0, -196, 34, 42, "#F7F2E2") +
              [-13, 13].map((e) => disc(e, -204, 7, "#16323A")).join("") +
              path(Number(m) > 0 ? "M-16 -178 Q0 -158 16 -178 Z" : "M-16 -168 Q0 -188 16 -168 Z", "#16323A"),
          ),
        )
        .join(""),
  },
  {
    id: "painted-jars",
    subject: "Ancient Greece",
    title: "Painted jars",
    says: "Three jars with bands of patterns stand on a shelf.",
    words: "pottery amphora vase greece ceramics craft archaeology museum",
    draw: () =>
      wall("#DCE3DC", "#8A6A45", 600) +
      rect(140, 590, 920, 30, "#6B4B3A") +
      jar(340, 590, 2.2, "#B4582E", "#2A2420") +
      jar(620, 590, 2.9, "#2A2420", "#C9743C") +
      jar(890, 590, 1.9, "#C9743C", "#F0E2B4") +
      many(5, (i) => at(540 + i * 40, 395, line("M-14 0 h28 v-16 h-16 v8", "#F0E2B4", 4))) +
      many(6, (i) => poly(`${262 + i * 28},470 ${276 + i * 28},446 ${290 + i * 28},470`, "#F0C987")),
  },
  {
    id: "aqueduct",
    subject: "Ancient Rome",
    title: "An aqueduct over a valley",
    says: "Two rows of arches carry water over a green valley to a town.",
    words: "rome roman water engineering arches bridge empire",
    draw: () => {
      const arches = (y: number, h: number, w: number, c: string) =>
        many(Math.ceil(W / w), (i) =>
          path(
            `M${i * w} ${y + h} V${y} H${(i + 1) * w} V${y + h} H${(i + 1) * w - w * 0.14} V${y + w * 0.44} A${w * 0.36} ${w * 0.36} 0 0 0 ${i * w + w * 0.14} ${y + w * 0.44} V${y + h} Z`,
            c,
          ),
        );
      return (
        DAY +
        cloud(900, 120, 1.1) +
        hills(440, 160, "#9DB58A", 4) +
        arches(210, 190, 120, "#D6BE92") +
        rect(0, 180, W, 36, "#C2A876") +
        rect(0, 176, W, 8, "#5C9CB5") +
        rect(0, 394, W, 20, "#C2A876") +
        arches(410, 330, 200, "#C9AE7E") +
        path("M0 690 Q300 640 620 720 T1200 680 V800 H0 Z", "#7F9A5C") +
        [60, 260, 1010].map((x, i) => tree(x, 770 - i * 14, 0.9)).join("") +
        person(700, 770, "#A8452C", 1)
      );
    },
  },
  {
    id: "roman-road",
    subject: "Ancient Rome",
    title: "A paved road with a milestone",
    says: "A straight paved road leads to a walled town; a cart drawn by an ox passes a milestone.",
    words: "rome roman road trade travel army milestone cart empire",
    draw: () =>
      DAY +
      sun(200, 140, 44) +
      hills(400, 110, "#A8BE94", 6) +
      ground(460, "#9FB476") +
      masonry(520, 390, 240, 70, "#C9AE7E", "#A98E5E", 3, 18) +
      [510, 720].map((x) => rect(x, 360, 50, 100, "#BFA272")).join("") +
      poly("620,450 660,450 980,800 250,800", "#B4B0A4") +
      many(40, (i) => {
        const t = (i * 37) % 100;
        const y = 460 + (t / 100) ** 1.5 * 330;
        const s = (y - 440) / 360;
        return oval(
          640 + (((i * 53) % 100) / 50 - 1) * 300 * s - 20 * s,
          y,
          34 * s + 3,
          13 * s + 1.5,
          i % 2 ? "#A19D90" : "#C6C2B6",
        );
      }) +
      rect(1000, 500, 84, 200, "#D8D0BC", 'rx="40"') +
      ["X V I I", "L E G"]
        .map((t, i) => many(4, (k) => rect(1020 + k * 13, 560 + i * 40, 4, 22, t.length > 6 ? "#6E675A" : "#857E70")))
        .join("") +
      ox(420, 690, 1) +
      at(250, 690, rect(-90, -110, 190, 60, "#8A5B3C") + many(5, (i) => oval(-70 + i * 38, -116, 24, 26, "#D9B25C"))) +
      at(
        250,
        660,
        disc(0, 0, 42, "none", 'stroke="#5C3D22" stroke-width="11"') +
          many(4, (i) => line(`M0 0 L${[36, 0, -36, 0][i]} ${[0, 36, 0, -36][i]}`, "#5C3D22", 6)),
      ) +
      line("M350 610 L480 620", "#5C3D22", 8),
  },
  {
    id: "mosaic",
    subject: "Ancient Rome",
    title: "A floor of little stones",
    says: "A mosaic with a fish and waves, framed by a wave pattern.",
    words: "mosaic floor rome art villa fish tiles",
    draw: () => {
      const r = chance(21);
      const colourAt = (c: number, l: number) => {
        if (c < 3 || l < 3 || c > 36 || l > 22) return (c + l) % 4 < 2 ? "#2F5D7A" : "#EFE6D2";
        const [x, y] = [(c - 19) / 10, (l - 12.5) / 5.4];
        if (x > -1.2 && x < 1 && x * x * 0.9 + y * y < 0.8)
          return c === 26 && l === 11 ? "#16323A" : (c + l) % 3 ? "#C9743C" : "#E0A35C";
        if (x <= -0.85 && x > -1.45 && Math.abs(y) < (-x - 0.7) * 1.2) return "#B4582E";
        return l > 17 + 1.6 * Math.sin(c / 2) ? "#5C9CB5" : "#E7DFCF";
      };
      return (
        rect(0, 0, W, 800, "#8E867A") +
        many(40, (c) =>
          many(26, (l) => rect(c * 30 + 1.5 + r() * 2, l * 30.8 + 1.5 + r() * 2, 26, 26, colourAt(c, l), 'rx="3"')),
        )
      );
    },
  },
  {
    id: "longship",
    subject: "Migrations",
    title: "A longship under sail",
    says: "A narrow ship with a striped sail and shields along its side on a grey sea.",
    words: "viking norse ship boat vessel sail raid trade north early middle ages",
    draw: () =>
      sky("#8FA5B5", "#DCE3E3") +
      cloud(300, 160, 1.4, "#EDF0F0") +
      cloud(950, 110, 1.1, "#EDF0F0") +
      hills(470, 80, "#7D8E94", 9) +
      sea(500, "#47708A", 8) +
      rect(590, 140, 14, 460, "#5C3D22") +
      path("M380 190 Q600 150 820 190 Q790 340 830 470 Q600 430 370 470 Q410 340 380 190 Z", "#F0E8D6") +
      many(4, (i) => path(`M${416 + i * 112} 184 q-18 140 2 280 h52 q-20 -140 -4 -284 Z`, "#A8452C")) +
      path(
        "M170 470 Q150 400 190 360 Q180 470 260 560 H940 Q1030 470 1010 350 Q1060 400 1040 480 Q1010 660 860 670 H340 Q200 650 170 470 Z",
        "#6B4B3A",
      ) +
      line("M240 590 Q600 640 980 580", "#8A6A45", 7) +
      many(
        10,
        (i) =>
          disc(310 + i * 64, 588 + Math.sin(i / 3) * 8, 29, ["#F2B632", "#1F5F8A", "#A8452C"][i % 3]!) +
          disc(310 + i * 64, 588 + Math.sin(i / 3) * 8, 8, "#D8D8D0"),
      ) +
      disc(196, 352, 20, "#6B4B3A") +
      sea(690, "#3C627A", 13),
  },
  {
    id: "great-hall",
    subject: "Migrations",
    title: "A hall of timber by a fjord",
    says: "A long hall with a curved roof, a fire before it, mountains over the water.",
    words: "viking norse saxon hall longhouse settlement village early middle ages",
    draw: () =>
      EVENING +
      poly("0,520 200,240 380,500 560,300 800,520", "#5E6C88") +
      poly("640,520 900,220 1200,520", "#4E5C78") +
      poly("200,240 250,310 160,300", "#F3EFD9") +
      poly("900,220 950,290 850,282", "#F3EFD9") +
      sea(520, "#6C88A5", 3) +
      path("M0 660 Q400 590 1200 650 V800 H0 Z", "#5C7048") +
      path("M250 660 Q260 560 250 540 Q600 470 950 540 Q940 560 950 660 Z", "#6B4B3A") +
      path("M220 560 Q600 360 980 560 Q600 470 220 560 Z", "#8A6A45") +
      many(12, (i) => line(`M${290 + i * 56} ${552 - Math.sin((i / 11) * Math.PI) * 40} V650`, "#5C3D22", 6)) +
      rect(560, 560, 80, 100, "#F2B632") +
      line("M230 566 L200 500 M970 566 L1000 500", "#5C3D22", 12) +
      path("M760 720 q-30 -34 0 -84 q30 44 0 84", "#F7A63C") +
      [690, 840].map((x, i) => person(x, 740, ["#1F5F8A", "#A8452C"][i]!, 1.1)).join(""),
  },
  {
    id: "burial-mound",
    subject: "Migrations",
    title: "A grave mound opened by archaeologists",
    says: "A cut through a mound shows a chamber with a ship's outline; two people dig and draw.",
    words: "archaeology excavation grave treasure find dig museum science",
    draw: () =>
      DAY +
      hills(420, 70, "#A8BE94", 7) +
      ground(520, "#8FA56A") +
      path("M120 600 Q600 160 1080 600 Z", "#7F9A5C") +
      path("M220 640 Q600 330 980 640 Z", "#9A7448") +
      path("M220 640 L260 600 Q600 420 940 600 L980 640 L940 720 H260 Z", "#B58A58") +
      many(3, (i) =>
        line(`M${270 + i * 20} ${600 + i * 30} Q600 ${480 + i * 44} ${930 - i * 20} ${600 + i * 30}`, "#8A6236", 5),
      ) +
      path("M370 650 Q600 720 830 650 Q600 620 370 650 Z", "#5C3D22") +
      many(9, (i) => disc(420 + i * 45, 658 + Math.sin((i / 8) * Math.PI) * 14, 6, "#D9A832")) +
      rect(560, 640, 80, 12, "#C9CCC9") +
      person(330, 760, "#1F5F8A", 1.2, { hat: "#D9B25C" }) +
      person(880, 764, "#B4481E", 1.2, { hat: "#EFE6D2" }) +
      line("M905 700 L960 770", "#5C3D22", 7) +
      rect(0, 760, W, 40, "#7A5A36") +
      many(8, (i) => rect(90 + i * 140, 744, 6, 34, "#F7F2E2")),
  },
  {
    id: "village-of-clay",
    subject: "Stone Age",
    title: "A village of houses wall to wall",
    says: "Houses of clay stand so close that people walk on their roofs and climb down by ladders.",
    words: "neolithic first towns village farming clay house settlement",
    draw: () =>
      sky("#B9D3DC", "#F3EBD2") +
      hills(330, 120, "#C2B48C", 12) +
      [
        [80, 620, 250, 210],
        [300, 560, 260, 190],
        [540, 640, 300, 230],
        [800, 570, 240, 190],
        [990, 650, 230, 220],
      ]
        .map(
          ([x, y, w, h], i) =>
            rect(x!, y! - h!, w!, h! + 300, ["#D9B98A", "#E3C79C", "#CFAA78", "#DDBE90", "#D2AE7C"][i]!) +
            rect(x!, y! - h! - 14, w!, 18, "#B08C5A") +
            rect(x! + w! * 0.55, y! - h! * 0.7, 34, 34, "#6B4B3A") +
            line(
              `M${x! + 50} ${y! - h! - 60} L${x! + 66} ${y! - h! + 110} M${x! + 86} ${y! - h! - 60} L${x! + 102} ${y! - h! + 110}`,
              "#6B4B3A",
              6,
            ) +
            many(6, (k) => line(`M${x! + 53 + k * 3} ${y! - h! - 34 + k * 24} h34`, "#6B4B3A", 5)),
        )
        .join("") +
      person(420, 362, "#A8452C", 1) +
      person(700, 402, "#4E7F4A", 1) +
      person(900, 372, "#1F5F8A", 0.9) +
      ground(760, "#B39A66") +
      tree(1140, 790, 0.6) +
      house(20, 780, 90, 60, "#CFAA78", "#B08C5A"),
  },
  {
    id: "bronze-casting",
    subject: "Bronze and iron",
    title: "Bronze is cast",
    says: "A smith pours glowing metal from a crucible into a mould.",
    words: "bronze age iron metal smith casting craft technology furnace",
    draw: () =>
      rect(0, 0, W, 800, "#2E2622") +
      oval(840, 560, 460, 340, "#5A3A26") +
      at(
        850,
        640,
        path("M-150 0 Q-140 -190 0 -210 Q140 -190 150 0 Z", "#7A5636") +
          path("M-60 0 Q-54 -90 0 -96 Q54 -90 60 0 Z", "#F7A63C") +
          path("M-36 0 Q-30 -54 0 -58 Q30 -54 36 0 Z", "#FBE7A8"),
      ) +
      ground(640, "#3B2E26") +
      at(
        420,
        700,
        path("M-70 0 L-50 -220 Q0 -246 50 -220 L70 0 Z", "#6B4B3A") +
          disc(0, -280, 44, "#C48A5C") +
          path("M-44 -284 Q-44 -330 0 -330 Q44 -330 44 -284 Q0 -306 -44 -284 Z", "#2A2420") +
          line("M44 -200 L190 -150", "#C48A5C", 26) +
          line("M180 -150 L300 -170", "#2A2420", 10),
      ) +
      path("M690 520 h86 l-14 60 h-58 Z", "#8E9192") +
      rect(684, 506, 98, 18, "#F7A63C") +
      path("M700 580 q-30 60 -30 130", "none", 'stroke="#F7D774" stroke-width="13"') +
      rect(600, 700, 150, 54, "#A57B52") +
      rect(664, 700, 12, 30, "#F7D774") +
      many(16, (i) => disc(620 + ((i * 61) % 240), 420 + ((i * 43) % 180), 3.4, "#F7D774")),
  },
  {
    id: "hill-fort",
    subject: "Bronze and iron",
    title: "A fort on a hill",
    says: "Round houses behind rings of banks and ditches on a green hill.",
    words: "iron age celts fort hill oppidum settlement defence",
    draw: () =>
      DAY +
      cloud(220, 140, 1.2) +
      cloud(860, 180, 0.9) +
      hills(560, 70, "#A8BE94", 3) +
      path("M100 760 Q330 320 600 310 Q870 320 1100 760 Z", "#7F9A5C") +
      [0, 1, 2]
        .map((i) =>
          path(
            `M${190 + i * 70} ${610 - i * 86} Q600 ${690 - i * 110} ${1010 - i * 70} ${610 - i * 86}`,
            "none",
            `stroke="${i % 2 ? "#6A8449" : "#5A7340"}" stroke-width="22"`,
          ),
        )
        .join("") +
      many(26, (i) => rect(384 + i * 17, 400 + Math.sin((i / 25) * Math.PI) * 26, 7, 44, "#6B4B3A")) +
      [
        [480, 400],
        [600, 380],
        [715, 404],
        [560, 430],
        [655, 436],
      ]
        .map(
          ([x, y]) =>
            rect(x! - 30, y! - 24, 60, 26, "#C9AE7E") +
            poly(`${x! - 46},${y! - 22} ${x! + 46},${y! - 22} ${x},${y! - 70}`, "#8A6A45"),
        )
        .join("") +
      ground(740, "#6F8A52") +
      tree(90, 790, 0.8) +
      tree(1120, 784, 0.9),
  },
  {
    id: "night-sky-watcher",
    subject: "Space",
    title: "Somebody looks at the stars",
    says: "A person on a hill points at a starry sky with a bright comet.",
    words: "astronomy comet stars night sky observation science",
    draw: () =>
      NIGHT +
      stars(5, 130, 620) +
      at(
        820,
        200,
        path("M0 0 Q-170 -10 -380 90 Q-180 40 0 22 Z", "#CFE0F2", 'opacity=".7"') + disc(0, 10, 20, "#FFFFFF"),
      ) +
      path("M0 700 Q420 470 800 640 T1200 620 V800 H0 Z", "#16243A") +
      person(520, 604, "#0B1524", 1.6, { skin: "#2A3A55", hair: "#0B1524" }) +
      line("M540 470 L610 420", "#0B1524", 16) +
      pine(940, 650, 1.1, "#0F1D30") +
      pine(1030, 650, 0.8, "#0F1D30"),
  },
];
