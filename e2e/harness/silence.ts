/** A sound file of so many samples, 8,000 a second, in which nothing is heard: RIFF WAVE, 8 bits. */
export function silence(samples: number): Buffer {
  const head = Buffer.alloc(44);
  head.write("RIFF", 0);
  head.writeUInt32LE(36 + samples, 4);
  head.write("WAVEfmt ", 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(1, 22);
  head.writeUInt32LE(8_000, 24);
  head.writeUInt32LE(8_000, 28);
  head.writeUInt16LE(1, 32);
  head.writeUInt16LE(8, 34);
  head.write("data", 36);
  head.writeUInt32LE(samples, 40);
  return Buffer.concat([head, Buffer.alloc(samples, 128)]);
}
