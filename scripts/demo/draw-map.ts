/** The map of the demo's river: the Ambrel at Ambrelford, drawn as if from above, in the colours of the pictures. */

const W = 1600;
const H = 1100;

const INK = "#4A3B28";
const PAPER = "#F3EAD3";
const WATER = "#8FB9C6";
const DEEP = "#6FA3B8";
const FIELDS = ["#D9D9A8", "#CBD4A0", "#E0D3A0", "#C6CC93"];
const WOOD = "#7F9C6B";
const ROAD = "#B99B6B";
const STONE = "#9A917F";
const ROOFS = ["#B4481E", "#8A3B22", "#A0604A", "#6B4B3A"];

const stroke = (d: string, colour: string, width: number, more = "") =>
  `<path d="${d}" fill="none" stroke="${colour}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round" ${more}/>`;
const fill = (d: string, colour: string, more = "") => `<path d="${d}" fill="${colour}" ${more}/>`;

/** Numbers that look like chance and are the same every time. */
function chance(seed: number): () => number {
  let s = seed;
  return () => {
    s = (s * 16_807) % 2_147_483_647;
    return s / 2_147_483_647;
  };
}

const RIVER = "M640 -30 C 700 120, 560 190, 640 330 S 800 470, 760 590 S 640 730, 690 850 S 860 960, 830 1130";

/** Houses in rows along a lane, roofs seen from above. */
function houses(seed: number, x: number, y: number, columns: number, rows: number, lean: number): string {
  const next = chance(seed);
  let drawn = "";
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      if (next() < 0.22) continue;
      const [w, h] = [22 + next() * 16, 16 + next() * 8];
      const [hx, hy] = [x + c * 46 + r * lean + next() * 8, y + r * 38 + next() * 6];
      const roof = ROOFS[Math.floor(next() * ROOFS.length)]!;
      drawn += `<g transform="rotate(${(next() * 16 - 8).toFixed(1)} ${hx.toFixed(0)} ${hy.toFixed(0)})"><rect x="${hx.toFixed(1)}" y="${hy.toFixed(1)}" width="${w.toFixed(1)}" height="${h.toFixed(1)}" fill="${roof}"/><rect x="${hx.toFixed(1)}" y="${(hy + h / 2).toFixed(1)}" width="${w.toFixed(1)}" height="${(h / 2).toFixed(1)}" fill="#00000026"/></g>`;
    }
  return drawn;
}

function wood(seed: number, x: number, y: number, w: number, h: number, count: number): string {
  const next = chance(seed);
  return Array.from({ length: count }, () => {
    const [tx, ty, r] = [x + next() * w, y + next() * h, 9 + next() * 8];
    return `<circle cx="${tx.toFixed(0)}" cy="${(ty + 3).toFixed(0)}" r="${r.toFixed(1)}" fill="#5E7A50"/><circle cx="${tx.toFixed(0)}" cy="${ty.toFixed(0)}" r="${(r * 0.86).toFixed(1)}" fill="${WOOD}"/>`;
  }).join("");
}

/** A hill as maps of old draw it: strokes that run down from its back. */
function hill(x: number, y: number, w: number): string {
  let drawn = fill(`M${x - w} ${y} Q ${x} ${y - w * 0.9} ${x + w} ${y} Z`, "#C9BF95");
  for (let i = -4; i <= 4; i++) {
    const px = x + (i * w) / 5;
    const top = y - w * 0.43 * (1 - (i / 5) ** 2);
    drawn += stroke(
      `M${px.toFixed(0)} ${top.toFixed(0)} l ${(i * 3).toFixed(0)} ${(w * 0.2).toFixed(0)}`,
      "#9A8C62",
      3,
    );
  }
  return drawn + stroke(`M${x - w} ${y} Q ${x} ${y - w * 0.9} ${x + w} ${y}`, "#8A7C55", 4);
}

function fields(): string {
  const next = chance(5);
  const plots: [number, number, number, number][] = [
    [60, 420, 230, 150],
    [310, 400, 180, 140],
    [70, 600, 190, 170],
    [280, 570, 200, 150],
    [80, 800, 170, 160],
    [470, 930, 160, 120],
    [1010, 150, 210, 130],
    [1240, 130, 220, 150],
    [1260, 320, 240, 170],
    [1290, 520, 220, 160],
    [1190, 720, 230, 150],
    [1000, 800, 170, 130],
    [1440, 720, 130, 190],
    [1010, 960, 240, 110],
    [1290, 900, 200, 140],
  ];
  return plots
    .map(([x, y, w, h], i) => {
      const colour = FIELDS[i % FIELDS.length]!;
      const turn = next() * 12 - 6;
      const rows = Array.from({ length: 6 }, (_, k) =>
        stroke(`M${x + 8} ${y + 12 + (k * (h - 20)) / 5} h ${w - 16}`, "#00000014", 3),
      ).join("");
      return `<g transform="rotate(${turn.toFixed(1)} ${x + w / 2} ${y + h / 2})"><rect x="${x}" y="${y}" width="${w}" height="${h}" rx="10" fill="${colour}"/>${rows}</g>`;
    })
    .join("");
}

const bridge = (x: number, y: number, long: number, colour: string, turn: number) =>
  `<g transform="rotate(${turn} ${x} ${y})"><rect x="${x - long / 2}" y="${y - 13}" width="${long}" height="26" fill="${colour}"/><rect x="${x - long / 2}" y="${y - 13}" width="${long}" height="5" fill="#00000033"/><rect x="${x - long / 2}" y="${y + 8}" width="${long}" height="5" fill="#00000033"/></g>`;

const church = (x: number, y: number) =>
  `<rect x="${x}" y="${y}" width="64" height="26" fill="${STONE}"/><rect x="${x + 40}" y="${y - 14}" width="18" height="54" fill="${STONE}"/><rect x="${x - 16}" y="${y - 5}" width="30" height="36" fill="#7D7565"/><path d="M${x - 1} ${y + 4}v18M${x - 10} ${y + 13}h18" stroke="${PAPER}" stroke-width="4"/>`;

const viaduct = () =>
  stroke("M-20 250 C 240 190, 460 170, 620 168 S 1180 120, 1620 40", "#6B5F50", 16) +
  stroke("M-20 250 C 240 190, 460 170, 620 168 S 1180 120, 1620 40", PAPER, 6, 'stroke-dasharray="14 12"') +
  Array.from(
    { length: 7 },
    (_, i) => `<rect x="${545 + i * 26}" y="${156 - i * 2}" width="10" height="24" fill="#8A5A46"/>`,
  ).join("");

/** The whole map, as SVG. */
export const RIVER_MAP = `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}"><rect width="${W}" height="${H}" fill="${PAPER}"/>${fields()}${wood(9, 60, 60, 300, 110, 60)}${wood(13, 1330, 980, 240, 90, 36)}${wood(17, 880, 30, 160, 70, 22)}${hill(190, 350, 120)}${hill(380, 330, 90)}${hill(1420, 700, 80)}${stroke("M-20 690 C 200 660, 420 700, 640 712", ROAD, 12)}${stroke("M760 716 C 960 730, 1220 640, 1620 660", ROAD, 12)}${stroke("M-20 545 C 300 520, 560 520, 770 528 C 1000 540, 1250 470, 1620 450", ROAD, 14)}${stroke("M930 520 C 900 700, 960 880, 930 1120", ROAD, 10)}${stroke("M560 530 C 520 700, 500 860, 380 1120", ROAD, 10)}${stroke("M1100 1130 C 1060 1010, 900 1010, 828 1010", WATER, 30)}${stroke(RIVER, "#6B8F86", 128)}${stroke(RIVER, WATER, 116)}${stroke(RIVER, DEEP, 60)}${stroke(RIVER, "#BFDCE3", 5, 'stroke-dasharray="46 70"')}${viaduct()}${houses(3, 470, 420, 5, 2, 6)}${houses(21, 430, 560, 5, 3, 10)}${houses(33, 850, 420, 6, 2, -4)}${houses(41, 860, 560, 7, 3, 6)}${church(540, 690)}${[648, 670, 692, 714, 736].map((x, i) => `<ellipse cx="${x + 6}" cy="${736 + (i % 2) * 8}" rx="11" ry="8" fill="#8A8578"/><ellipse cx="${x + 4}" cy="${733 + (i % 2) * 8}" rx="9" ry="6" fill="#B5AF9F"/>`).join("")}${stroke("M566 352 L 738 372", "#5C4326", 4)}<path d="M640 350 l34 4 -6 18 -26 -2z" fill="#8A6A45"/>${bridge(772, 528, 190, STONE, 3)}${[720, 760, 800].map((x) => `<rect x="${x}" y="${508}" width="8" height="42" fill="#7D7565"/>`).join("")}<rect x="512" y="338" width="46" height="34" fill="#8A6A45"/><circle cx="564" cy="356" r="17" fill="none" stroke="#5C4326" stroke-width="5"/><path d="M547 356h34M564 339v34" stroke="#5C4326" stroke-width="4"/><rect x="866" y="640" width="58" height="40" fill="#8A3B22"/><rect x="914" y="626" width="14" height="22" fill="${INK}"/><rect x="806" y="600" width="34" height="120" fill="#8A7A5E"/><rect x="806" y="600" width="34" height="6" fill="#00000033"/><rect x="300" y="900" width="90" height="60" fill="none" stroke="${STONE}" stroke-width="12"/><rect x="390" y="884" width="60" height="30" fill="${STONE}"/><path d="M1180 210 q40 -26 80 0 q30 20 10 46 q-46 26 -92 0 q-22 -22 2 -46z" fill="#B7A27C"/><path d="M1196 222 q26 -16 52 0M1190 238 q34 -16 70 0" stroke="#8A7753" stroke-width="4" fill="none"/><g transform="translate(1490 160)"><circle r="62" fill="${PAPER}" stroke="${INK}" stroke-width="4"/><path d="M0 -50 L14 0 L0 50 L-14 0Z" fill="${PAPER}" stroke="${INK}" stroke-width="3"/><path d="M0 -50 L14 0 H-14Z" fill="#B4481E"/><path d="M-8 -70 V-90 L8 -70 V-90" fill="none" stroke="${INK}" stroke-width="5"/></g><g transform="translate(70 1040)"><rect width="60" height="12" fill="${INK}"/><rect x="60" width="60" height="12" fill="${PAPER}" stroke="${INK}" stroke-width="2"/><rect x="120" width="60" height="12" fill="${INK}"/><rect x="180" width="60" height="12" fill="${PAPER}" stroke="${INK}" stroke-width="2"/></g><rect x="14" y="14" width="${W - 28}" height="${H - 28}" fill="none" stroke="${INK}" stroke-width="5"/><rect x="26" y="26" width="${W - 52}" height="${H - 52}" fill="none" stroke="${INK}" stroke-width="2"/></svg>`;
