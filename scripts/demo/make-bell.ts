/** The bell of the long night flood as a WAV file: partials of a church bell, struck four times. Mono, 16 bit, 22,050 Hz. */
export function bellWav(): Uint8Array {
  const RATE = 22_050;
  const SECONDS = 7;
  const samples = new Float64Array(RATE * SECONDS);
  const PARTIALS: [number, number, number][] = [
    [0.5, 0.35, 2.6],
    [1, 0.5, 1.9],
    [1.2, 0.4, 1.4],
    [1.5, 0.22, 1.1],
    [2, 0.45, 0.9],
    [2.67, 0.16, 0.5],
    [4, 0.1, 0.3],
  ];
  for (const struck of [0.1, 1.6, 3.1, 4.6])
    for (const [ratio, loud, fall] of PARTIALS)
      for (let i = Math.round(struck * RATE); i < samples.length; i++) {
        const t = i / RATE - struck;
        samples[i]! += loud * Math.exp(-t / fall) * Math.sin(2 * Math.PI * 294 * ratio * t) * Math.min(1, t * 400);
      }
  const most = samples.reduce((m, s) => Math.max(m, Math.abs(s)), 0);
  const bytes = new Uint8Array(44 + samples.length * 2);
  const view = new DataView(bytes.buffer);
  const text = (at: number, s: string) => bytes.set(new TextEncoder().encode(s), at);
  text(0, "RIFF");
  view.setUint32(4, 36 + samples.length * 2, true);
  text(8, "WAVEfmt ");
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, RATE, true);
  view.setUint32(28, RATE * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, "data");
  view.setUint32(40, samples.length * 2, true);
  for (const [i, s] of samples.entries()) view.setInt16(44 + i * 2, Math.round((s / most) * 30_000), true);
  return bytes;
}
