import sharp from "sharp";
import { signUp } from "./actor";
import { type Attack, expectThat, LONGEST_WAIT_MS, seconds } from "./attack";
import { waitOfOthers } from "./actor";

/** An MP4 whose every box is eight bytes long. */
function tinyBoxes(size: number): Uint8Array {
  const bytes = Buffer.alloc(size);
  bytes.writeUInt32BE(24, 0);
  bytes.write("ftypisom", 4, "latin1");
  bytes.write("isommp42", 16, "latin1");
  for (let at = 24; at + 8 <= size; at += 8) {
    bytes.writeUInt32BE(8, at);
    bytes.write("udta", at + 4, "latin1");
  }
  return bytes;
}

const picture = (colour: string) =>
  sharp({ create: { width: 200, height: 120, channels: 3, background: colour } })
    .png()
    .toBuffer();

export const FILES: Attack[] = [
  {
    name: "an MP4 of tiny boxes",
    async run({ server, sql, full }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      const upload = await nia.send(t, tinyBoxes((full ? 60 : 12) * 1_048_576));
      const [before] = await sql<{ at: string }[]>`select pg_current_wal_lsn()::text as at`;
      const begun = performance.now();
      const { longest, result } = await waitOfOthers(server.url, () =>
        nia.ask("POST", `/api/timelines/${t}/uploads/${upload}`),
      );
      const [log] = await sql<
        { bytes: string }[]
      >`select pg_wal_lsn_diff(pg_current_wal_lsn(), ${before!.at}::pg_lsn)::text as bytes`;
      expectThat(result.json.failed === "video_boxes", `answered ${result.status} ${result.json.failed}`);
      expectThat(performance.now() - begun < 90_000, `after ${seconds(performance.now() - begun)}`);
      // The log is that of all databases of the cluster: only alone it can be counted.
      if (full) expectThat(Number(log!.bytes) < 30 * 1_048_576, `${log!.bytes} bytes of log`);
      expectThat(longest < LONGEST_WAIT_MS, `others waited ${longest} ms`);
      return `refused in ${seconds(performance.now() - begun)}, ${(Number(log!.bytes) / 1_048_576).toFixed(1)} MB of log`;
    },
  },
  {
    name: "a piece exchanged while the file is put together, which is asked for six times",
    async run({ server, sql }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      const right = await picture("#0B6E69");
      for (let n = 0; n < 6; n++) {
        const upload = await nia.send(t, right);
        const path = `/api/timelines/${t}/uploads/${upload}`;
        const other = Buffer.alloc(right.length, n);
        const all = await Promise.all([
          ...Array.from({ length: 6 }, () => nia.ask("POST", path)),
          ...Array.from({ length: 6 }, () => nia.ask("PUT", `${path}/0`, other)),
        ]);
        const made = new Set(
          all.slice(0, 6).flatMap((r) => (r.status === 200 ? [(r.json.media as { id: string }).id] : [])),
        );
        expectThat(made.size <= 1, `${made.size} files were made`);
        expectThat(
          all.every((r) => r.status < 500),
          all.map((r) => r.status).join(),
        );
      }
      const [stored] = await sql<{ wrong: number }[]>`
        select count(*)::int as wrong from blob b
        where b.hash <> encode(sha256((select string_agg(p.bytes, ''::bytea order by p.n) from blob_piece p where p.hash = b.hash)), 'hex')`;
      expectThat(stored!.wrong === 0, `${stored!.wrong} files whose bytes are not those of their hash`);
      return "one file each, every hash is that of its bytes";
    },
  },
  {
    name: "more files than there is room for",
    async run({ server }) {
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      const size = 200 * 1_048_576;
      const begun = await Promise.all(
        Array.from({ length: 12 }, () => nia.ask("POST", `/api/timelines/${t}/uploads`, { name: "film.mp4", size })),
      );
      const taken = begun.filter((b) => b.status === 200);
      expectThat(taken.length === 5, `${taken.length} films of 200 MB`);
      const last = Math.min(...taken.map((b) => Number(b.json.left)));
      expectThat(last === 24 * 1_048_576, `said to be left: ${last}`);
      const refused = begun.find((b) => b.status !== 200)!;
      expectThat(refused.status === 413 && /of 1,024 MB are left/.test(refused.json.sentence ?? ""), refused.text);
      return "5 of 12 at once, and how much is left is said";
    },
  },
];
