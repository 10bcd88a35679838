// Draws the demo's short film of the spring flood in Chromium and records it: scripts/demo/media/spring-flood.webm.
// Run again when the picture it is made from changes: node scripts/demo/make-film.mjs
import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "../lib/chromium.mjs";
import { bundle } from "../lib/machine.mjs";

const { PICTURES } = await import(await bundle("scripts/demo/draw-pictures.ts", "draw-pictures"));
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
const page = await browser.newPage();
const data = await page.evaluate(async (svg) => {
  const image = new Image();
  image.src = `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement("canvas");
  canvas.width = 960;
  canvas.height = 600;
  const ctx = canvas.getContext("2d");
  const SECONDS = 7;
  const draw = (t) => {
    const k = t / SECONDS;
    const zoom = 1 + 0.22 * k;
    ctx.drawImage(image, -480 * (zoom - 1), -300 * (zoom - 1) * 1.2, 960 * zoom, 600 * zoom);
    const level = 470 - 90 * k;
    for (const [shade, dy, speed, opacity] of [
      ["#8A7D63", 0, 90, 0.75],
      ["#6B5F4B", 36, 140, 0.7],
      ["#574C3A", 84, 200, 0.75],
    ]) {
      ctx.globalAlpha = opacity;
      ctx.fillStyle = shade;
      ctx.beginPath();
      ctx.moveTo(0, 600);
      for (let x = 0; x <= 960; x += 12)
        ctx.lineTo(x, level + dy + 7 * Math.sin((x + t * speed) / 38) + 4 * Math.sin((x - t * 60) / 17));
      ctx.lineTo(960, 600);
      ctx.fill();
    }
    ctx.globalAlpha = 1;
    for (let i = 0; i < 5; i++) {
      const x = ((i * 260 + t * 120) % 1200) - 120;
      const y = level + 34 + i * 22 + 6 * Math.sin(t * 2 + i);
      ctx.save();
      ctx.translate(x, y);
      ctx.rotate(0.2 * Math.sin(t * 1.6 + i * 2));
      ctx.fillStyle = "#4E3B2C";
      ctx.fillRect(-50, -6, 100, 12);
      ctx.restore();
    }
    ctx.strokeStyle = "rgba(228,234,236,.45)";
    ctx.lineWidth = 2;
    for (let i = 0; i < 120; i++) {
      const x = (i * 83 + 40 * Math.sin(i)) % 980;
      const y = ((i * 137 + t * 900) % 680) - 40;
      ctx.beginPath();
      ctx.moveTo(x, y);
      ctx.lineTo(x - 8, y + 28);
      ctx.stroke();
    }
  };
  draw(0);
  const recorder = new MediaRecorder(canvas.captureStream(20), {
    mimeType: "video/webm;codecs=vp8",
    videoBitsPerSecond: 900_000,
  });
  const parts = [];
  recorder.ondataavailable = (e) => parts.push(e.data);
  const ended = new Promise((resolve) => {
    recorder.onstop = resolve;
  });
  recorder.start(500);
  const begun = performance.now();
  await new Promise((resolve) => {
    const step = () => {
      const t = (performance.now() - begun) / 1000;
      if (t >= SECONDS) return resolve();
      draw(t);
      setTimeout(step, 1000 / 20);
    };
    step();
  });
  recorder.stop();
  await ended;
  const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
  let text = "";
  for (const b of bytes) text += String.fromCharCode(b);
  return btoa(text);
}, PICTURES["spring-flood"]);
await browser.close();
const file = join(import.meta.dirname, "media", "spring-flood.webm");
writeFileSync(file, Buffer.from(data, "base64"));
console.log(file, Buffer.from(data, "base64").length);
