/**
 * The pictures of the demo, drawn here as SVG: a river valley at different times of year, of day and of history.
 * Everything is made of a few shapes that know where the horizon and the river are.
 */

const W = 1600;
const H = 1000;
const HORIZON = 520;

interface Light {
  sky: [string, string];
  far: string;
  near: string;
  bank: string;
  water: [string, string];
  ripple: string;
}

const LIGHT = {
  day: {
    sky: ["#9CC4D8", "#F3E7C9"],
    far: "#86A88F",
    near: "#5E8A63",
    bank: "#7B9A55",
    water: ["#6FA3B8", "#3F7890"],
    ripple: "#BFDCE3",
  },
  morning: {
    sky: ["#E9B48A", "#F9E3BC"],
    far: "#A99C8E",
    near: "#77875F",
    bank: "#8C8B53",
    water: ["#D6AE8C", "#7E7F82"],
    ripple: "#F6DDBB",
  },
  evening: {
    sky: ["#5B4A78", "#E58E5A"],
    far: "#6C5672",
    near: "#4C4A52",
    bank: "#4F4B45",
    water: ["#C57A5C", "#54485F"],
    ripple: "#F0B080",
  },
  night: {
    sky: ["#1B2A4A", "#41577F"],
    far: "#2C3E52",
    near: "#22333B",
    bank: "#1D2C30",
    water: ["#3F5F92", "#22365F"],
    ripple: "#8CA6CF",
  },
  winter: {
    sky: ["#C9D7E2", "#F2F0EA"],
    far: "#B9C6CC",
    near: "#9BAEB5",
    bank: "#E7EDEE",
    water: ["#D5E4EA", "#AFC8D4"],
    ripple: "#FFFFFF",
  },
} satisfies Record<string, Light>;

const n = (x: number) => Math.round(x * 10) / 10;
const rect = (x: number, y: number, w: number, h: number, fill: string, more = "") =>
  `<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" fill="${fill}" ${more}/>`;
const poly = (points: string, fill: string, more = "") => `<polygon points="${points}" fill="${fill}" ${more}/>`;
const path = (d: string, fill: string, more = "") => `<path d="${d}" fill="${fill}" ${more}/>`;
const line = (d: string, stroke: string, width: number, more = "") =>
  `<path d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round" ${more}/>`;
const disc = (x: number, y: number, r: number, fill: string, more = "") =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${fill}" ${more}/>`;

/** Numbers that look like chance and are the same every time. */
function chance(seed: number) {
  let s = seed;
  return () => {
    s = (s * 16_807) % 2_147_483_647;
    return s / 2_147_483_647;
  };
}

function picture(light: Light, body: string, seed = 7): string {
  const r = chance(seed);
  const hill = (base: number, height: number, fill: string) => {
    let d = `M0 ${base}`;
    for (let x = 0; x < W; x += 400)
      d += ` Q${x + 200} ${n(base - height * (0.4 + r()))} ${x + 400} ${n(base - height * 0.3 * r())}`;
    return path(`${d} V${H} H0 Z`, fill);
  };
  const ripples = Array.from({ length: 46 }, () => {
    const y = HORIZON + 80 + r() * r() * (H - HORIZON - 90);
    const w = 20 + ((y - HORIZON) / 400) * 90 * (0.4 + r());
    const x = r() * W;
    return line(`M${n(x)} ${n(y)} q${n(w / 2)} ${n(-5 - r() * 4)} ${n(w)} 0`, light.ripple, 3, 'opacity=".55"');
  }).join("");
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}">
<defs><linearGradient id="sky" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${light.sky[0]}"/><stop offset="1" stop-color="${light.sky[1]}"/></linearGradient>
<linearGradient id="water" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${light.water[0]}"/><stop offset="1" stop-color="${light.water[1]}"/></linearGradient></defs>
${rect(0, 0, W, HORIZON + 60, "url(#sky)")}${hill(HORIZON - 10, 230, light.far)}${hill(HORIZON + 40, 120, light.near)}
${rect(0, HORIZON + 60, W, H, "url(#water)")}${ripples}${body}</svg>`;
}

const banks = (l: Light, left = 330, right = 1270) =>
  path(
    `M0 ${HORIZON + 30} Q${left * 0.7} ${HORIZON + 40} ${left} ${HORIZON + 90} Q${left - 40} ${H - 150} ${left - 190} ${H} H0 Z`,
    l.bank,
  ) +
  path(
    `M${W} ${HORIZON + 30} Q${right + 120} ${HORIZON + 40} ${right} ${HORIZON + 90} Q${right + 60} ${H - 160} ${right + 210} ${H} H${W} Z`,
    l.bank,
  );

const tree = (x: number, y: number, s: number, leaf: string) =>
  rect(x - 5 * s, y - 40 * s, 10 * s, 42 * s, "#4E3B2C") +
  disc(x, y - 74 * s, 44 * s, leaf) +
  disc(x - 30 * s, y - 52 * s, 30 * s, leaf) +
  disc(x + 30 * s, y - 52 * s, 32 * s, leaf);
const bareTree = (x: number, y: number, s: number) =>
  line(
    `M${x} ${y} V${y - 110 * s} M${x} ${y - 60 * s} l${-40 * s} ${-50 * s} M${x} ${y - 70 * s} l${44 * s} ${-54 * s} M${x} ${y - 95 * s} l${-22 * s} ${-36 * s} M${x} ${y - 100 * s} l${20 * s} ${-40 * s}`,
    "#4A4038",
    6 * s,
  );
const house = (x: number, y: number, w: number, h: number, wall: string, roof: string, window = "#F5E2A8") =>
  rect(x, y - h, w, h, wall) +
  poly(`${x - 12},${y - h} ${x + w / 2},${y - h - w * 0.42} ${x + w + 12},${y - h}`, roof) +
  [0.2, 0.62].map((f) => rect(x + w * f, y - h * 0.72, w * 0.18, h * 0.26, window)).join("") +
  rect(x + w * 0.41, y - h * 0.42, w * 0.18, h * 0.42, "#4E3B2C");
const church = (x: number, y: number, wall: string) =>
  rect(x, y - 150, 150, 150, wall) +
  poly(`${x - 8},${y - 150} ${x + 75},${y - 206} ${x + 158},${y - 150}`, "#6B4B3A") +
  rect(x + 150, y - 240, 66, 240, wall) +
  poly(`${x + 144},${y - 240} ${x + 183},${y - 380} ${x + 222},${y - 240}`, "#4A6572") +
  rect(x + 174, y - 200, 18, 44, "#3A4A50");
const person = (x: number, y: number, coat: string, s = 1) =>
  path(`M${x - 13 * s} ${y} L${x - 9 * s} ${y - 46 * s} H${x + 9 * s} L${x + 13 * s} ${y} Z`, coat) +
  disc(x, y - 56 * s, 10 * s, "#E2B993") +
  path(`M${x - 12 * s} ${y - 60 * s} q${12 * s} ${-18 * s} ${24 * s} 0 Z`, "#4A3526");
const boat = (x: number, y: number, w: number, fill: string) =>
  path(
    `M${x - w / 2} ${y} q${w * 0.08} ${w * 0.16} ${w * 0.2} ${w * 0.16} H${x + w * 0.3} q${w * 0.12} 0 ${w * 0.2} ${-w * 0.16} Z`,
    fill,
  ) + line(`M${x - w / 2} ${y} H${x + w / 2}`, "#2E2620", 7);
const stoneArch = (x: number, y: number, w: number, h: number, stone: string, gone = false) =>
  gone
    ? path(
        `M${x} ${y} v${h} h34 q-6 -60 30 -90 l-22 -24 30 -26 Z M${x + w} ${y} v${h} h-30 q4 -40 -22 -66 l24 -30 -34 -44 Z`,
        stone,
      )
    : path(
        `M${x} ${y} h${w} v${h} h-22 q0 ${-h * 0.82} ${-(w / 2 - 22)} ${-h * 0.82} q${-(w / 2 - 22)} 0 ${-(w / 2 - 22)} ${h * 0.82} h-22 Z`,
        stone,
      );
const rain = (seed: number, colour: string) => {
  const r = chance(seed);
  return Array.from({ length: 90 }, () => {
    const [x, y] = [r() * W, r() * H * 0.85];
    return line(`M${n(x)} ${n(y)} l-14 46`, colour, 3, 'opacity=".5"');
  }).join("");
};
const cart = (x: number, y: number, load: string) =>
  path(`M${x} ${y - 70} h150 l-14 42 h-122 Z`, "#7A5230") +
  path(`M${x + 8} ${y - 72} q60 -50 134 0 Z`, load) +
  [30, 118]
    .map(
      (dx) =>
        disc(x + dx, y - 22, 25, "none", 'stroke="#3B2A1C" stroke-width="8"') + disc(x + dx, y - 22, 5, "#3B2A1C"),
    )
    .join("") +
  line(`M${x + 150} ${y - 52} l64 10`, "#3B2A1C", 6) +
  path(`M${x + 206} ${y - 84} h84 q18 -40 44 -36 l-8 52 -24 8 v48 h-14 v-36 h-60 v36 h-14 v-52 Z`, "#5B4634");
const sun = (x: number, y: number, r: number, c: string) => disc(x, y, r * 1.7, c, 'opacity=".25"') + disc(x, y, r, c);

/** Every picture of the demo by name. */
export const PICTURES: Record<string, string> = (() => {
  const L = LIGHT;
  const stones = [380, 500, 615, 730, 850, 965, 1080, 1190]
    .map(
      (x, i) =>
        `<ellipse cx="${x}" cy="${740 + (i % 3) * 16}" rx="${58 - (i % 2) * 8}" ry="25" fill="#8A8578"/><ellipse cx="${x - 6}" cy="${733 + (i % 3) * 16}" rx="${50 - (i % 2) * 8}" ry="18" fill="#A9A495"/>`,
    )
    .join("");
  const timber = (l: Light) =>
    banks(l) +
    rect(250, 590, 1100, 26, "#7A5230") +
    [330, 520, 710, 900, 1090, 1270]
      .map(
        (x) => rect(x - 12, 610, 24, 270, "#5C3D22") + line(`M${x - 90} 616 L${x} 720 L${x + 90} 616`, "#5C3D22", 14),
      )
      .join("") +
    line("M250 540 H1350", "#5C3D22", 10) +
    Array.from({ length: 23 }, (_, i) => rect(250 + i * 50 - 4, 540, 8, 52, "#5C3D22")).join("");
  const bridge = (stone: string, y = 560, gone: number[] = []) =>
    rect(120, y - 34, 1360, 40, stone) +
    [0, 1, 2, 3].map((i) => stoneArch(170 + i * 315, y, 315, 250, stone, gone.includes(i))).join("") +
    rect(120, y - 44, 1360, 12, "#00000022");
  const tracks = Array.from({ length: 9 }, (_, i) => stoneArch(-20 + i * 190, 330, 190, 560, "#A0705A")).join("");
  const train =
    rect(250, 230, 150, 62, "#16323A") +
    rect(250, 190, 60, 60, "#16323A") +
    rect(370, 186, 20, 50, "#16323A") +
    [0, 1, 2, 3]
      .map(
        (i) =>
          rect(430 + i * 190, 214, 176, 78, i % 2 ? "#B4481E" : "#0B6E69") +
          [0, 1, 2].map((k) => rect(446 + i * 190 + k * 54, 228, 36, 30, "#F5E2A8")).join(""),
      )
      .join("") +
    [280, 330, 375, ...Array.from({ length: 8 }, (_, i) => 455 + i * 95)]
      .map((x) => disc(x, 298, 15, "#2A2420"))
      .join("") +
    [0, 1, 2, 3]
      .map((i) => disc(380 - i * 62, 160 - i * 24, 26 + i * 13, "#F3F1EC", `opacity="${0.85 - i * 0.16}"`))
      .join("");
  const hive = (x: number, y: number, c: string) =>
    [0, 1, 2].map((i) => rect(x, y - 62 * (i + 1), 150, 58, i === 1 ? "#F3ECD9" : c, 'rx="4"')).join("") +
    poly(`${x - 16},${y - 186} ${x + 166},${y - 186} ${x + 150},${y - 214} ${x},${y - 214}`, "#4A6572") +
    rect(x + 50, y - 26, 50, 9, "#3B2A1C") +
    rect(x + 8, y, 18, 34, "#5C3D22") +
    rect(x + 124, y, 18, 34, "#5C3D22");
  const bees = (seed: number, count: number) => {
    const r = chance(seed);
    return Array.from({ length: count }, () => {
      const [x, y] = [200 + r() * 1200, 180 + r() * 520];
      return `<ellipse cx="${n(x)}" cy="${n(y)}" rx="13" ry="8" fill="#3B2A1C"/><ellipse cx="${n(x + 3)}" cy="${n(y)}" rx="5" ry="8" fill="#F2B632"/><ellipse cx="${n(x - 2)}" cy="${n(y - 9)}" rx="9" ry="5" fill="#FFFFFF" opacity=".8"/>`;
    }).join("");
  };
  const strata = (colours: string[]) =>
    colours.map((c, i) => path(`M0 ${300 + i * 95} q400 ${-60 + i * 22} 800 0 t800 0 V${H} H0 Z`, c)).join("");
  return {
    "ford-stones": picture(
      L.morning,
      sun(1240, 250, 70, "#FFF1CF") +
        banks(L.morning) +
        stones +
        person(640, 716, "#7A5230", 1.5) +
        person(540, 722, "#6B4B3A", 1.3) +
        tree(180, 640, 1.5, "#66794B") +
        tree(1440, 640, 1.3, "#66794B"),
      11,
    ),
    "rope-ferry": picture(
      L.day,
      banks(L.day) +
        line("M250 600 Q800 700 1350 596", "#4A3B2A", 7) +
        boat(800, 720, 380, "#7A5230") +
        person(720, 716, "#1F5FA8", 1.6) +
        person(800, 716, "#B4481E", 1.4) +
        person(880, 716, "#4A6572", 1.5) +
        rect(232, 500, 20, 130, "#5C3D22") +
        rect(1348, 500, 20, 130, "#5C3D22") +
        house(60, 640, 150, 110, "#D9C9A3", "#8A5A36") +
        tree(1470, 640, 1.6, "#4F7A4A"),
      5,
    ),
    "salt-tolls": picture(
      L.day,
      banks(L.day, 520, 1400) +
        house(90, 660, 230, 170, "#CBB994", "#7A4A2C") +
        [0, 1, 2, 3, 4]
          .map((i) =>
            path(`M${390 + i * 66} 690 q6 -74 32 -74 t32 74 Z`, "#F3F1EC", 'stroke="#B7AF9D" stroke-width="5"'),
          )
          .join("") +
        person(360, 692, "#16323A", 1.7) +
        cart(640, 760, "#F3F1EC"),
      17,
    ),
    market: picture(
      L.day,
      rect(0, 600, W, 400, "#C9B88C") +
        church(1120, 600, "#C4B79A") +
        [0, 1, 2, 3]
          .map((i) => {
            const x = 120 + i * 330;
            const c = ["#B4481E", "#0B6E69", "#6A3D9A", "#1F5FA8"][i]!;
            return (
              rect(x, 660, 12, 170, "#5C3D22") +
              rect(x + 228, 660, 12, 170, "#5C3D22") +
              poly(`${x - 20},680 ${x + 120},600 ${x + 260},680`, c) +
              [0, 1, 2]
                .map((k) =>
                  poly(`${x - 20 + k * 93},680 ${x + 27 + k * 93},680 ${x + 3 + k * 93},706`, k % 2 ? c : "#FFF4D6"),
                )
                .join("") +
              rect(x - 6, 770, 252, 60, "#8A6A45") +
              Array.from({ length: 7 }, (_, k) =>
                disc(x + 20 + k * 34, 764, 15, ["#D9812F", "#A62B5F", "#5B7A1C"][(k + i) % 3]!),
              ).join("")
            );
          })
          .join("") +
        [220, 480, 760, 1010, 1290]
          .map((x, i) => person(x, 930, ["#16323A", "#A62B5F", "#6B4B3A", "#0B6E69", "#B4481E"][i]!, 1.9))
          .join(""),
      23,
    ),
    "carts-on-ice": picture(
      L.winter,
      banks(L.winter) +
        cart(470, 800, "#8A6A45") +
        cart(900, 700, "#6B4B3A") +
        [420, 860, 1190].map((x, i) => person(x, 820 - i * 50, ["#B4481E", "#1F5FA8", "#6A3D9A"][i]!, 1.5)).join("") +
        bareTree(170, 640, 1.7) +
        bareTree(1450, 640, 1.6) +
        bareTree(1340, 610, 1.1) +
        line("M520 880 l90 -22 60 30 80 -34", "#8FB0BF", 4) +
        line("M860 850 l60 -14 50 22", "#8FB0BF", 4),
      3,
    ),
    "timber-bridge": picture(
      L.day,
      timber(L.day) +
        cart(640, 592, "#C9A25A") +
        person(560, 590, "#A62B5F", 1.3) +
        tree(140, 640, 1.4, "#4F7A4A") +
        tree(1470, 650, 1.5, "#4F7A4A"),
      29,
    ),
    "bridge-school": picture(
      L.morning,
      timber(L.morning) +
        house(690, 592, 240, 150, "#E4D3A8", "#8A3B22", "#9CC4D8") +
        rect(796, 372, 28, 40, "#8A3B22") +
        disc(810, 396, 10, "#F2B632") +
        [560, 610, 655].map((x, i) => person(x, 592, ["#1F5FA8", "#B4481E", "#5B7A1C"][i]!, 1)).join(""),
      31,
    ),
    "spring-flood": picture(
      { ...L.day, sky: ["#7D8C99", "#BCC3BE"], water: ["#8A7D63", "#6B5F4B"], ripple: "#C5B894" },
      rain(3, "#E4EAEC") +
        bridgeOf(timber(L.day)) +
        line("M300 760 q180 -50 380 6 t420 -8", "#E8E0CC", 12, 'opacity=".8"') +
        [430, 760, 1060]
          .map((x) => `<g transform="rotate(${(x % 50) - 20} ${x} 830)">${rect(x, 820, 190, 20, "#5C3D22")}</g>`)
          .join("") +
        tree(140, 640, 1.4, "#55693F"),
      37,
    ),
    press: `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}">${rect(0, 0, W, H, "#E6D8B8")}${rect(0, 760, W, 240, "#8A6A45")}${Array.from({ length: 9 }, (_, i) => rect(i * 190, 760, 4, 240, "#6B4B3A")).join("")}${rect(120, 130, 330, 330, "#BFD5DE", 'stroke="#6B4B3A" stroke-width="22"')}${line("M285 130 V460 M120 295 H450", "#6B4B3A", 14)}${rect(620, 150, 56, 640, "#4E3B2C")}${rect(1000, 150, 56, 640, "#4E3B2C")}${rect(580, 130, 516, 66, "#5C4632")}${rect(590, 640, 496, 70, "#5C4632")}${rect(800, 190, 76, 250, "#3B2A1C")}${rect(700, 430, 276, 46, "#2A2420")}${line("M838 320 L1240 400", "#3B2A1C", 22)}${rect(690, 596, 296, 44, "#F7F2E2")}${[0, 1, 2, 3].map((i) => rect(706, 604 + i * 8, 264 - i * 30, 3, "#4A4038")).join("")}${[0, 1, 2].map((i) => `<g transform="rotate(${-6 + i * 5} ${1300} ${700 - i * 16})">${rect(1200, 690 - i * 18, 230, 20, "#F7F2E2", 'stroke="#C9B88C" stroke-width="2"')}</g>`).join("")}${person(1240, 800, "#16323A", 3.4)}</svg>`,
    "stone-bridge": picture(
      L.day,
      banks(L.day, 200, 1400) +
        bridge("#B6A88C") +
        cart(560, 526, "#8A6A45") +
        person(1040, 524, "#1F5FA8", 1.4) +
        person(1100, 524, "#A62B5F", 1.3) +
        tree(90, 640, 1.6, "#4F7A4A") +
        church(1390, 560, "#C4B79A"),
      41,
    ),
    "barge-trade": picture(
      L.evening,
      sun(330, 330, 80, "#FFD79A") +
        banks(L.evening, 220, 1420) +
        [420, 830, 1190]
          .map(
            (x, i) =>
              boat(x, 740 + i * 62, 300 - i * 20, ["#5C3D22", "#7A4A2C", "#4E3B2C"][i]!) +
              line(`M${x} ${740 + i * 62} V${500 + i * 60}`, "#2E2620", 9) +
              poly(
                `${x + 8},${510 + i * 60} ${x + 130},${690 + i * 60} ${x + 8},${700 + i * 60}`,
                ["#E9D9B4", "#B4481E", "#E9D9B4"][i]!,
              ),
          )
          .join(""),
      43,
    ),
    "steam-mill": picture(
      L.day,
      banks(L.day, 160, 780) +
        rect(860, 330, 480, 330, "#A0563C") +
        Array.from({ length: 15 }, (_, i) =>
          rect(895 + (i % 5) * 90, 370 + Math.floor(i / 5) * 92, 42, 54, "#F5E2A8"),
        ).join("") +
        rect(850, 306, 500, 30, "#6B3420") +
        poly("1392,660 1410,130 1470,130 1488,660", "#8A4A32") +
        rect(1402, 120, 76, 18, "#6B3420") +
        [0, 1, 2, 3, 4]
          .map((i) => disc(1440 + i * 40, 96 - i * 8, 34 + i * 10, "#5A5A5A", `opacity="${0.7 - i * 0.11}"`))
          .join("") +
        disc(830, 660, 118, "none", 'stroke="#5C3D22" stroke-width="20"') +
        Array.from({ length: 8 }, (_, i) =>
          line(
            `M830 660 l${n(118 * Math.cos((i * Math.PI) / 4))} ${n(118 * Math.sin((i * Math.PI) / 4))}`,
            "#5C3D22",
            12,
          ),
        ).join("") +
        boat(420, 800, 260, "#5C3D22"),
      47,
    ),
    "night-flood": picture(
      L.night,
      rain(9, "#A9BCD9") +
        disc(1260, 170, 58, "#D9E2F1", 'opacity=".55"') +
        church(1280, 640, "#37474F") +
        bridge("#6B5347", 600, [2]) +
        [140, 300]
          .map((x, i) => house(x, 690 + i * 10, 140, 120, "#3B4A50", "#2A2F38", i ? "#F2B632" : "#20303A"))
          .join("") +
        boat(930, 880, 230, "#2E2620") +
        person(900, 878, "#B4481E", 1.4) +
        person(970, 878, "#16323A", 1.4) +
        disc(1000, 812, 13, "#F2B632") +
        disc(1000, 812, 40, "#F2B632", 'opacity=".25"'),
      53,
    ),
    viaduct: picture(
      L.day,
      path(`M0 620 Q300 560 620 760 T${W} 700 V${H} H0 Z`, "#6E8F52") +
        tracks +
        rect(0, 300, W, 34, "#8A5A46") +
        train +
        path(`M0 900 Q500 820 900 900 T${W} 860 V${H} H0 Z`, "#557A45"),
      59,
    ),
    "last-ferry": picture(
      L.evening,
      sun(1180, 350, 92, "#FFC98A") +
        banks(L.evening) +
        boat(760, 760, 420, "#4E3B2C") +
        person(660, 756, "#16323A", 1.7) +
        person(740, 756, "#A62B5F", 1.5) +
        person(800, 756, "#6B4B3A", 1.5) +
        person(870, 756, "#0B6E69", 1.6) +
        line("M560 700 L640 880", "#2E2620", 9) +
        [300, 360, 1290, 1350].map((x, i) => person(x, 650 + (i % 2) * 10, "#2E2620", 1.1)).join(""),
      61,
    ),
    footbridge: picture(
      L.morning,
      banks(L.morning) +
        line("M220 610 Q800 500 1380 610", "#0B6E69", 20) +
        line("M220 560 Q800 450 1380 560", "#16323A", 8) +
        Array.from({ length: 25 }, (_, i) => {
          const t = i / 24;
          const y = 610 - 220 * t * (1 - t);
          return rect(220 + t * 1160 - 3, y - 52, 6, 52, "#16323A");
        }).join("") +
        person(620, 560, "#B4481E", 1.3) +
        person(700, 556, "#1F5FA8", 1.2) +
        person(980, 566, "#6A3D9A", 1.3) +
        tree(160, 640, 1.6, "#66794B"),
      67,
    ),
    hives: picture(
      L.day,
      rect(0, 600, W, 400, "#8FAE5D") +
        hive(260, 780, "#F2B632") +
        hive(560, 800, "#0B6E69") +
        hive(860, 780, "#B4481E") +
        hive(1160, 800, "#1F5FA8") +
        bees(5, 26) +
        Array.from({ length: 40 }, (_, i) =>
          disc((i * 397) % W, 860 + ((i * 71) % 130), 9, ["#FFFFFF", "#F2B632", "#A62B5F"][i % 3]!),
        ).join(""),
      71,
    ),
    swarm: picture(
      L.day,
      `${tree(800, 900, 4.6, "#5E8A4A")}<ellipse cx="960" cy="560" rx="80" ry="130" fill="#4A3620"/>${bees(13, 90)}`,
      73,
    ),
    glacier: `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}">${rect(0, 0, W, H, "#B7D0DD")}${poly("0,520 220,210 430,470 640,160 900,480 1130,230 1360,470 1600,260 1600,1000 0,1000", "#7C93A3")}${poly("220,210 290,300 160,300", "#FFFFFF")}${poly("640,160 720,280 560,280", "#FFFFFF")}${poly("1130,230 1200,320 1060,320", "#FFFFFF")}${path("M480 420 Q700 560 620 760 Q560 900 300 1000 H1240 Q1000 880 980 740 Q960 560 1040 420 Z", "#E4F1F6")}${[0, 1, 2, 3, 4, 5].map((i) => line(`M${600 - i * 26} ${520 + i * 84} q150 46 ${340 + i * 52} 0`, "#9CC4D8", 7)).join("")}${path("M300 1000 q380 -90 940 0 Z", "#6B7F86")}</svg>`,
    "warm-sea": `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}"><defs><linearGradient id="s" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#7FC4B8"/><stop offset="1" stop-color="#0E4A5C"/></linearGradient></defs>${rect(0, 0, W, H, "url(#s)")}${[0, 1, 2, 3].map((i) => poly(`${200 + i * 330},0 ${300 + i * 330},0 ${140 + i * 330},1000 ${-20 + i * 330},1000`, "#FFFFFF", 'opacity=".08"')).join("")}${path("M0 860 q260 -70 520 0 t520 -10 t560 0 V1000 H0 Z", "#C9B07A")}${[
      [380, 460, 120],
      [900, 330, 90],
      [1180, 560, 150],
    ]
      .map(
        ([x, y, r]) =>
          Array.from({ length: 6 }, (_, k) =>
            disc(x! + k * r! * 0.1, y!, r! * (1 - k * 0.16), k % 2 ? "#E9C9A3" : "#B4653E"),
          ).join("") +
          line(
            `M${x! + r! * 0.7} ${y! + r! * 0.6} q60 50 20 120 M${x! + r! * 0.5} ${y! + r! * 0.8} q30 60 -10 110`,
            "#E9C9A3",
            12,
          ),
      )
      .join(
        "",
      )}${[160, 420, 760, 1320, 1480].map((x, i) => line(`M${x} 900 q-30 -90 10 -160 q40 -70 0 -140`, ["#A62B5F", "#5B7A1C", "#B4481E"][i % 3]!, 20)).join("")}</svg>`,
    strata: `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}">${rect(0, 0, W, 400, "#9CC4D8")}${strata(["#6E8F52", "#8A6A45", "#C9A97A", "#A0705A", "#D9C9A3", "#7C6A5A", "#4A4540"])}${tree(260, 300, 1.2, "#4F7A4A")}${tree(1320, 310, 1.4, "#4F7A4A")}${[
      [420, 640],
      [980, 560],
      [1240, 760],
    ]
      .map(([x, y]) =>
        Array.from({ length: 5 }, (_, k) => disc(x! + k * 5, y!, 46 - k * 9, k % 2 ? "#F3E7C9" : "#8A7D63")).join(""),
      )
      .join("")}</svg>`,
    stage: `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}">${rect(0, 0, W, H, "#2A1A2E")}${poly("300,760 1300,760 1500,1000 100,1000", "#8A6A45")}${rect(260, 140, 1080, 620, "#41577F")}${disc(1130, 270, 60, "#F5E2A8")}${path("M260 620 q260 -120 540 0 t540 -30 V760 H260 Z", "#22333B")}${stoneArch(520, 560, 260, 180, "#6B5347")}${stoneArch(780, 560, 260, 180, "#6B5347")}${[0, 1].map((s) => Array.from({ length: 5 }, (_, i) => path(`M${s ? W - i * 74 : i * 74} 60 q${s ? -37 : 37} 480 0 880 h${s ? -74 : 74} q${s ? 37 : -37} -440 0 -880 Z`, i % 2 ? "#8E2148" : "#A62B5F")).join("")).join("")}${rect(0, 40, W, 90, "#A62B5F")}${Array.from({ length: 16 }, (_, i) => path(`M${i * 100} 126 q50 70 100 0 Z`, "#F2B632")).join("")}${person(700, 860, "#F2B632", 3)}${person(930, 880, "#0B6E69", 3)}${poly("560,0 700,0 900,900 560,900", "#FFF4D6", 'opacity=".14"')}</svg>`,
    "bridge-house": `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}">${rect(0, 0, W, H, "#C9D7E2")}${rect(0, 860, W, 140, "#B7A88C")}${poly("380,330 800,90 1220,330", "#7A4A2C")}${rect(420, 330, 760, 540, "#D9C9A3")}${[0, 1, 2].map((f) => rect(420, 500 + f * 180, 760, 12, "#8A6A45")).join("")}${Array.from(
      { length: 8 },
      (_, i) => {
        const x = 470 + (i % 4) * 178;
        const y = 370 + Math.floor(i / 4) * 184;
        return (
          rect(x, y, 104, 112, i % 3 ? "#9CC4D8" : "#F5E2A8", 'stroke="#6B4B3A" stroke-width="9"') +
          line(`M${x + 52} ${y} v112 M${x} ${y + 56} h104`, "#6B4B3A", 6)
        );
      },
    ).join(
      "",
    )}${rect(730, 700, 140, 170, "#0B6E69")}${disc(850, 790, 8, "#F2B632")}${rect(1010, 120, 80, 150, "#8A4A32")}${person(620, 950, "#1F5FA8", 2.4)}${person(980, 950, "#B4481E", 2.2)}${person(1050, 950, "#6A3D9A", 1.6)}${tree(190, 880, 3, "#5E8A4A")}${tree(1430, 880, 2.7, "#5E8A4A")}</svg>`,
  };
})();

/** A timber bridge of which the middle has been carried off. */
function bridgeOf(timber: string): string {
  return `<defs><clipPath id="gone"><rect x="0" y="0" width="640" height="1000"/><rect x="1010" y="0" width="600" height="1000"/></clipPath></defs><g clip-path="url(#gone)">${timber}</g>`;
}
