/** The few shapes the pictures of the shelf are put together from. All sizes in px of a picture of 1200 x 800. */

export const [W, H] = [1_200, 800];

const n = (x: number) => Math.round(x * 10) / 10;

export const rect = (x: number, y: number, w: number, h: number, fill: string, more = "") =>
  `<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" fill="${fill}" ${more}/>`;
export const disc = (x: number, y: number, r: number, fill: string, more = "") =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${fill}" ${more}/>`;
export const oval = (x: number, y: number, rx: number, ry: number, fill: string, more = "") =>
  `<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(rx)}" ry="${n(ry)}" fill="${fill}" ${more}/>`;
export const poly = (points: string, fill: string, more = "") => `<polygon points="${points}" fill="${fill}" ${more}/>`;
export const path = (d: string, fill: string, more = "") => `<path d="${d}" fill="${fill}" ${more}/>`;
export const line = (d: string, stroke: string, width: number, more = "") =>
  `<path d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round" ${more}/>`;
export const at = (x: number, y: number, body: string, scale = 1, turn = 0) =>
  `<g transform="translate(${n(x)} ${n(y)}) rotate(${turn}) scale(${scale})">${body}</g>`;
/** A shape for each number from 0. */
export const many = (count: number, shape: (i: number) => string) =>
  Array.from({ length: count }, (_, i) => shape(i)).join("");

/** Numbers from 0 to 1, the same for the same seed. */
export function chance(seed: number): () => number {
  let s = seed * 2_654_435_761;
  return () => {
    s = (s ^ (s << 13)) >>> 0;
    s = (s ^ (s >>> 17)) >>> 0;
    s = (s ^ (s << 5)) >>> 0;
    return s / 4_294_967_296;
  };
}

export const sky = (above: string, below: string) =>
  `<defs><linearGradient id="sky" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${above}"/><stop offset="1" stop-color="${below}"/></linearGradient></defs><rect width="${W}" height="${H}" fill="url(#sky)"/>`;
export const DAY = sky("#9CC9E0", "#EAF1DE");
export const EVENING = sky("#4B5F8A", "#F2C08A");
export const NIGHT = sky("#101F3A", "#3B4F7A");
export const DAWN = sky("#C9B7D6", "#F7E3C1");
export const wall = (fill: string, floor: string, y = 600) => rect(0, 0, W, H, fill) + rect(0, y, W, H - y, floor);

export const sun = (x: number, y: number, r: number, c = "#F7D774") =>
  disc(x, y, r * 1.6, c, 'opacity=".3"') + disc(x, y, r, c);
export function stars(seed: number, count = 60, foot = 420): string {
  const r = chance(seed);
  return many(count, () => disc(r() * W, r() * foot, 1 + r() * 2.4, "#F3EFD9"));
}
export const cloud = (x: number, y: number, s: number, c = "#FFFFFF") =>
  at(x, y, oval(0, 0, 90, 34, c) + oval(-62, 10, 56, 26, c) + oval(66, 10, 60, 26, c) + oval(14, -24, 56, 34, c), s);
/** Hills as one line of waves, from y down. */
export function hills(y: number, height: number, fill: string, seed: number): string {
  const r = chance(seed);
  let d = `M0 ${y}`;
  for (let x = 0; x < W; x += 300) d += ` q150 ${n(-height * (0.5 + r()))} 300 ${n((r() - 0.5) * height * 0.3)}`;
  return path(`${d} V${H} H0 Z`, fill);
}
export const ground = (y: number, fill: string) => rect(0, y, W, H - y, fill);
export function sea(y: number, fill: string, seed: number, ripple = "#FFFFFF"): string {
  const r = chance(seed);
  return (
    ground(y, fill) +
    many(34, () => {
      const [x, at, w] = [r() * W, y + 12 + r() * (H - y - 20), 24 + r() * 60];
      return line(`M${n(x)} ${n(at)} q${n(w / 4)} -7 ${n(w / 2)} 0 t${n(w / 2)} 0`, ripple, 3, 'opacity=".45"');
    })
  );
}
export const tree = (x: number, y: number, s: number, leaf = "#4E7F4A") =>
  at(
    x,
    y,
    rect(-9, -90, 18, 90, "#5C3D22") + disc(0, -132, 62, leaf) + disc(-44, -100, 44, leaf) + disc(46, -104, 46, leaf),
    s,
  );
export const pine = (x: number, y: number, s: number, leaf = "#2F5D50") =>
  at(
    x,
    y,
    rect(-7, -40, 14, 40, "#5C3D22") +
      [0, 1, 2]
        .map((i) => poly(`${-60 + i * 12},${-34 - i * 48} ${60 - i * 12},${-34 - i * 48} 0,${-130 - i * 48}`, leaf))
        .join(""),
    s,
  );
export const palm = (x: number, y: number, s: number) =>
  at(
    x,
    y,
    line("M0 0 Q14 -90 4 -180", "#7A5A3A", 15) +
      [-160, -125, -90, -55, -20]
        .map((a) => at(4, -180, path("M0 0 Q50 -34 100 10 Q50 -8 0 0 Z", "#4E7F4A"), 1, a + 45))
        .join("") +
      at(4, -180, path("M0 0 Q-50 -34 -100 10 Q-50 -8 0 0 Z", "#4E7F4A"), 1, -10),
    s,
  );
export const person = (
  x: number,
  y: number,
  coat: string,
  s = 1,
  more: { skin?: string; hat?: string; hair?: string } = {},
) =>
  at(
    x,
    y,
    rect(-13, -34, 10, 34, "#2E2A28") +
      rect(3, -34, 10, 34, "#2E2A28") +
      path("M-20 -30 L-16 -92 Q0 -104 16 -92 L20 -30 Z", coat) +
      disc(0, -112, 15, more.skin ?? "#E8C39E") +
      path("M-15 -114 Q-13 -130 0 -130 Q13 -130 15 -114 Q0 -122 -15 -114 Z", more.hair ?? "#3B2A1C") +
      (more.hat ? rect(-22, -124, 44, 6, more.hat) + rect(-13, -142, 26, 20, more.hat) : ""),
    s,
  );
export const house = (x: number, y: number, w: number, h: number, front: string, roof: string, window = "#F5E2A8") =>
  rect(x, y - h, w, h, front) +
  poly(`${x - 14},${y - h} ${x + w + 14},${y - h} ${x + w / 2},${y - h - w * 0.5}`, roof) +
  [0.16, 0.62].map((f) => rect(x + w * f, y - h * 0.74, w * 0.22, h * 0.26, window)).join("") +
  rect(x + w * 0.4, y - h * 0.36, w * 0.2, h * 0.36, "#5C3D22");
export const column = (x: number, y: number, h: number, w = 44, c = "#EFE6D2", shade = "#CFC2A4") =>
  rect(x - w / 2, y - h, w, h, c) +
  many(3, (i) => rect(x - w / 2 + 7 + (i * (w - 12)) / 3, y - h, 4, h, shade)) +
  rect(x - w * 0.7, y - h - 16, w * 1.4, 18, c) +
  rect(x - w * 0.7, y - 14, w * 1.4, 16, shade);
/** A wheel with spokes. */
export const wheel = (x: number, y: number, r: number, c = "#4E3B2C", spokes = 8, rim = 10) =>
  disc(x, y, r, "none", `stroke="${c}" stroke-width="${rim}"`) +
  many(spokes, (i) => {
    const a = (i * 2 * Math.PI) / spokes;
    return line(`M${n(x)} ${n(y)} L${n(x + r * Math.cos(a))} ${n(y + r * Math.sin(a))}`, c, Math.max(2, rim * 0.5));
  }) +
  disc(x, y, rim, c);
/** Stones in courses. */
export function masonry(
  x: number,
  y: number,
  w: number,
  h: number,
  fill: string,
  joint: string,
  seed: number,
  course = 30,
): string {
  const r = chance(seed);
  let out = rect(x, y, w, h, fill);
  for (let row = 0; row * course < h; row++) {
    out += rect(x, y + row * course, w, 2.5, joint);
    for (let k = r() * 50; k < w; k += 46 + r() * 44)
      out += rect(x + k, y + row * course, 2.5, Math.min(course, h - row * course), joint);
  }
  return out;
}
export const svg = (body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}"><clipPath id="edge"><rect width="${W}" height="${H}"/></clipPath><g clip-path="url(#edge)">${body}</g></svg>`;
