// WOFF 1.0 (W3C recommendation of 13 December 2012, section 4 and 5): a font of type whose tables are packed one by one.
import { inflateSync } from "node:zlib";

const SIGNATURE = 0x774f4646; // "wOFF"
const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;
const padded = (length: number) => (length + 3) & ~3;

/**
 * The font in a WOFF file, unpacked, as an sfnt (TrueType or OpenType) file. Libraries that take either unpack a table anew for every
 * letter they look at; of this they read what they need.
 * @throws RangeError or an error of zlib when the file is not WOFF, is cut off, or says another length than it has.
 */
export function unpackWoff(woff: Buffer): Buffer {
  if (woff.readUInt32BE(0) !== SIGNATURE) throw new RangeError("This is not a WOFF file.");
  const flavour = woff.readUInt32BE(4);
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = WOFF_HEADER + i * WOFF_ENTRY;
    const [offset, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)];
    const bytes = woff.subarray(offset, offset + packed);
    const table = packed < length ? inflateSync(bytes, { maxOutputLength: length }) : bytes;
    if (table.length !== length) throw new RangeError("A table of this WOFF file is not as long as it says.");
    return { tag: woff.readUInt32BE(at), checksum: woff.readUInt32BE(at + 16), table };
  });
  const sfnt = Buffer.alloc(tables.reduce((sum, t) => sum + padded(t.table.length), SFNT_HEADER + count * SFNT_ENTRY));
  // What a search by halves begins with (OpenType 1.9, "Table Directory").
  const steps = Math.floor(Math.log2(count));
  const range = 2 ** steps * SFNT_ENTRY;
  sfnt.writeUInt32BE(flavour, 0);
  for (const [i, value] of [count, range, steps, count * SFNT_ENTRY - range].entries())
    sfnt.writeUInt16BE(value, 4 + 2 * i);
  let offset = SFNT_HEADER + count * SFNT_ENTRY;
  for (const [i, { tag, checksum, table }] of tables.entries()) {
    for (const [k, value] of [tag, checksum, offset, table.length].entries())
      sfnt.writeUInt32BE(value, SFNT_HEADER + i * SFNT_ENTRY + 4 * k);
    table.copy(sfnt, offset);
    offset += padded(table.length);
  }
  return sfnt;
}
