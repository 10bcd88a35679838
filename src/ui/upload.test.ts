import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { cannotSend, sendFile } from "./upload";

const PIECE = 1_000;
const bytesOf = (n: number) => Uint8Array.from({ length: n }, (_, i) => (i * 31 + (i >> 8)) % 256);

/** As Fastigo takes files: pieces by number, each as often as it comes; what is whole is a picture. */
class Place {
  uploads = new Map<string, { size: number; pieces: Map<number, Uint8Array> }>();
  asked: string[] = [];
  /** What goes wrong with a request: nobody answers, a proxy's page, or an answer of ours. */
  fault: (method: string, path: string) => "lost" | "answer_lost" | Response | null = () => null;
  private n = 0;

  readonly fetch = async (path: string, init: RequestInit): Promise<Response> => {
    const method = init.method!;
    this.asked.push(`${method} ${path}`);
    const fault = this.fault(method, path);
    if (fault === "lost") throw new TypeError("Failed to fetch");
    if (fault instanceof Response) return fault;
    const answer = await this.answer(method, path, init.body);
    if (fault === "answer_lost") throw new TypeError("Failed to fetch");
    return answer;
  };

  private async answer(method: string, path: string, body: unknown): Promise<Response> {
    const [, id, piece] = /\/uploads(?:\/([^/]+))?(?:\/(\d+))?$/.exec(path)!;
    if (method === "POST" && !id) {
      const made = `u${this.n++}`;
      this.uploads.set(made, { size: JSON.parse(String(body)).size, pieces: new Map() });
      return Response.json({ upload: made, piece: PIECE, left: 5_000, of: 9_000 });
    }
    const upload = this.uploads.get(id!);
    if (!upload) return Response.json({ failed: "not_found", sentence: "There is nothing here." }, { status: 404 });
    if (method === "GET") return Response.json({ arrived: [...upload.pieces.keys()], piece: PIECE });
    if (method === "PUT") {
      upload.pieces.set(Number(piece), new Uint8Array(await (body as Blob).arrayBuffer()));
      return Response.json({ taken: true });
    }
    if (this.bytes(id!).length !== upload.size)
      return Response.json({ failed: "upload_gap", sentence: "A piece is missing." }, { status: 409 });
    return Response.json({
      media: { id: "m", kind: "picture", name: "flood.png", width: 4, height: 3, moving: false },
    });
  }

  bytes(id: string): Uint8Array {
    const { pieces } = this.uploads.get(id)!;
    return Buffer.concat([...pieces].sort((a, b) => a[0] - b[0]).map(([, p]) => p));
  }
}

let place: Place;
let online: { onLine: boolean };
beforeEach(() => {
  vi.useFakeTimers();
  place = new Place();
  online = { onLine: true };
  vi.stubGlobal("fetch", place.fetch);
  vi.stubGlobal("navigator", online);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const file = (size: number, type = "image/png", name = "flood.png") => new File([bytesOf(size)], name, { type });
function sending(of: File, upload: { id: string | null } = { id: null }, stop = new AbortController()) {
  const shares: number[] = [];
  const room: number[][] = [];
  const done = sendFile(
    "t",
    of,
    upload,
    { progress: (s) => shares.push(s), room: (left, all) => room.push([left, all]) },
    stop.signal,
  );
  return { done, shares, room, upload, stop };
}
const broken = (status: number) => new Response("<html>Bad gateway</html>", { status });

describe("a file that is sent", () => {
  it("arrives in pieces as it is, and says how far it is and how much room is left", async () => {
    const s = sending(file(3_500));
    expect(await s.done).toMatchObject({ kind: "done", media: { id: "m", width: 4 } });
    expect(s.shares).toEqual([0.25, 0.5, 0.75, 1]);
    expect(s.room).toEqual([[5_000, 9_000]]);
    expect([...place.bytes("u0")]).toEqual([...bytesOf(3_500)]);
    expect(place.asked.filter((a) => a.startsWith("PUT"))).toHaveLength(4);
  });

  it("of exactly some pieces has no empty one at its end", async () => {
    await sending(file(2 * PIECE)).done;
    expect(place.asked.filter((a) => a.startsWith("PUT"))).toEqual([
      "PUT /api/timelines/t/uploads/u0/0",
      "PUT /api/timelines/t/uploads/u0/1",
    ]);
  });

  it("arrives also where some of what is asked, or answered, is lost", async () => {
    for (let seed = 0; seed < 30; seed++) {
      place = new Place();
      vi.stubGlobal("fetch", place.fetch);
      let n = seed;
      place.fault = () => {
        n = (n * 1_103_515_245 + 12_345) % 2_147_483_648;
        const chance = n / 2_147_483_648;
        return chance < 0.15 ? "lost" : chance < 0.3 ? "answer_lost" : chance < 0.4 ? broken(502) : null;
      };
      const upload = { id: null as string | null };
      for (let k = 0; k < 20; k++) {
        const s = sending(file(4_321), upload);
        await vi.advanceTimersByTimeAsync(120_000);
        const sent = await s.done;
        if (sent.kind === "done") break;
        expect([seed, sent.kind]).toEqual([seed, "broken_off"]);
      }
      expect([seed, Buffer.compare(place.bytes(upload.id!), bytesOf(4_321))]).toEqual([seed, 0]);
    }
  });

  it("goes on where it was broken off: what has arrived is not sent again", async () => {
    place.fault = (method, path) => (method === "PUT" && path.endsWith("/2") ? "lost" : null);
    const first = sending(file(4_000));
    await vi.advanceTimersByTimeAsync(60_000);
    expect(await first.done).toEqual({ kind: "broken_off", sentence: null });
    place.fault = () => null;
    place.asked = [];
    const second = sending(file(4_000), first.upload);
    expect((await second.done).kind).toBe("done");
    expect(place.asked).toEqual([
      "GET /api/timelines/t/uploads/u0",
      "PUT /api/timelines/t/uploads/u0/2",
      "PUT /api/timelines/t/uploads/u0/3",
      "POST /api/timelines/t/uploads/u0",
    ]);
    expect(second.shares.at(-1)).toBe(1);
    expect([...place.bytes("u0")]).toEqual([...bytesOf(4_000)]);
  });

  it("waits where something in between answers in the server's place, and goes on when that is gone", async () => {
    for (const page of [200, 403, 404, 500]) {
      place = new Place();
      vi.stubGlobal("fetch", place.fetch);
      place.fault = (_method, path) => (path.endsWith("/1") ? broken(page) : null);
      const s = sending(file(2_500));
      await vi.advanceTimersByTimeAsync(60_000);
      expect([page, await s.done]).toEqual([page, { kind: "broken_off", sentence: null }]);
      place.fault = () => null;
      expect([page, (await sending(file(2_500), s.upload).done).kind]).toEqual([page, "done"]);
      expect([...place.bytes("u0")]).toEqual([...bytesOf(2_500)]);
    }
  });

  it("begins anew where what had arrived is no longer kept", async () => {
    const s = sending(file(1_500), { id: "gone" });
    expect((await s.done).kind).toBe("done");
    expect(s.upload.id).toBe("u0");
    expect([...place.bytes("u0")]).toEqual([...bytesOf(1_500)]);
  });

  it("is asked for no more while there is no network, and at once where the place of files is away", async () => {
    place.fault = () => "lost";
    online.onLine = false;
    expect(await sending(file(500)).done).toEqual({ kind: "broken_off", sentence: null });
    expect(place.asked).toHaveLength(1);
    online.onLine = true;
    place.asked = [];
    place.fault = () =>
      Response.json({ failed: "no_store", sentence: "Files cannot be kept just now." }, { status: 503 });
    expect(await sending(file(500)).done).toEqual({ kind: "broken_off", sentence: "Files cannot be kept just now." });
    expect(place.asked).toHaveLength(1);
  });

  it("is refused with the server's own sentence, and never asked twice for that", async () => {
    place.fault = (method, path) =>
      method === "POST" && path.endsWith("/uploads")
        ? Response.json({ failed: "no_room", sentence: "There is no room." }, { status: 413 })
        : null;
    expect(await sending(file(500)).done).toEqual({ kind: "refused", sentence: "There is no room." });
    expect(place.asked).toHaveLength(1);
  });

  it("stops when it is told to, between pieces and while one is on its way", async () => {
    const early = new AbortController();
    place.fault = (_method, path) => {
      if (path.endsWith("/1")) early.abort();
      return null;
    };
    expect(await sending(file(5_000), { id: null }, early).done).toEqual({ kind: "stopped" });
    expect(place.asked.at(-1)).toBe("PUT /api/timelines/t/uploads/u0/1");
    const late = new AbortController();
    place.fault = (method) => {
      if (method === "PUT") late.abort();
      return method === "PUT" ? "lost" : null;
    };
    expect(await sending(file(500), { id: null }, late).done).toEqual({ kind: "stopped" });
  });
});

describe("a file that may not be sent", () => {
  it("is said before anything is", () => {
    const big = (type: string, mb: number, name = "x") =>
      Object.defineProperty(file(1, type, name), "size", { value: mb * 1_048_576 });
    expect(cannotSend(file(0))).toMatch(/empty/);
    expect(cannotSend(file(1, "", "IMG_1.HEIC"))).not.toBeNull();
    expect(cannotSend(file(1, "image/heif", "x"))).not.toBeNull();
    expect(cannotSend(big("image/png", 21))).toMatch(/20 MB/);
    expect(cannotSend(big("video/webm", 201))).toMatch(/200 MB/);
    for (const fine of [file(1), big("image/png", 20), big("video/webm", 200), big("", 30)])
      expect(cannotSend(fine)).toBeNull();
  });
});
