import { expect, it, vi } from "vitest";
import type { Sent, UploadedMedia } from "@/ui/upload";
import { type OnItsWay, UploadQueue } from "./upload-queue";

const file = (name: string, type = "image/png", size = 10) => new File([new Uint8Array(size)], name, { type });
const media = (id: string): UploadedMedia => ({ id, kind: "picture", name: id, width: 4, height: 3, moving: false });

/** A queue whose files arrive when the test says so. */
function started(attach: (of: string, id: string) => string | null = () => null) {
  const sending = new Map<string, { end: (sent: Sent) => void; aborted: () => boolean; had: string | null }>();
  const attached: string[] = [];
  let again = () => {};
  const queue = new UploadQueue("t", {
    send: (_, f, upload, tell, signal) =>
      new Promise((resolve) => {
        const had = upload.id;
        upload.id = `upload of ${f.name}`;
        tell.progress(0.5);
        tell.room(100, 200);
        sending.set(f.name, { end: resolve, aborted: () => signal.aborted, had });
      }),
    preview: async (f) => `preview of ${f.name}`,
    attach: (of, m) => {
      const problem = attach(of, m.id);
      if (problem === null) attached.push(`${of}: ${m.id}`);
      return problem;
    },
    onNetwork: (call) => {
      again = call;
      return () => {};
    },
  });
  vi.stubGlobal("URL", Object.assign(URL, { revokeObjectURL: () => {} }));
  const settle = () => new Promise((resolve) => setImmediate(resolve));
  const end = async (name: string, sent: Sent = { kind: "done", media: media(name) }) => {
    sending.get(name)!.end(sent);
    await settle();
  };
  const states = () => queue.getList().map((f: OnItsWay) => `${f.name} ${f.state}`);
  return { queue, sending, attached, end, states, settle, network: () => again() };
}

it("two are sent at a time, and what comes first waits for those chosen before it", async () => {
  const { queue, attached, end, states } = started();
  queue.add("e", [file("a"), file("b"), file("c")]);
  expect(states()).toEqual(["a sending", "b sending", "c waiting"]);
  await end("b");
  expect(attached).toEqual([]);
  expect(states()).toEqual(["a sending", "b sending", "c sending"]);
  await end("a");
  expect(attached).toEqual(["e: a", "e: b"]);
  await end("c");
  expect(attached).toEqual(["e: a", "e: b", "e: c"]);
  expect(states()).toEqual([]);
  expect(queue.left).toEqual({ left: 100, of: 200 });
});

it("files of other events wait for nobody", async () => {
  const { queue, attached, end } = started();
  queue.add("one", [file("a")]);
  queue.add("other", [file("b")]);
  await end("b");
  expect(attached).toEqual(["other: b"]);
});

it("one that fails takes no other with it, and stays with its sentence until it is closed", async () => {
  const { queue, attached, end, states } = started();
  queue.add("e", [file("bad"), file("good"), file("empty", "image/png", 0), file("phone.HEIC", "")]);
  await end("bad", { kind: "refused", sentence: "This picture is damaged." });
  await end("good");
  expect(attached).toEqual(["e: good"]);
  expect(states()).toEqual(["bad failed", "empty failed", "phone.HEIC failed"]);
  const [bad, empty, phone] = queue.getList();
  expect(bad!.problem).toBe("This picture is damaged.");
  expect(empty!.problem).toMatch(/empty/);
  expect(phone!.problem).toMatch(/HEIC/);
  queue.drop(bad!.key);
  expect(states()).toEqual(["empty failed", "phone.HEIC failed"]);
});

it("what broke off goes on when there is a network again, with the same upload", async () => {
  const { queue, sending, attached, end, states, network } = started();
  queue.start();
  queue.add("e", [file("a"), file("b"), file("c")]);
  await end("a", { kind: "broken_off", sentence: null });
  // The others go on meanwhile, and are not held by one that may take for ever.
  expect(states()).toEqual(["a broken_off", "b sending", "c sending"]);
  await end("b");
  expect(attached).toEqual(["e: b"]);
  network();
  expect(states()).toEqual(["a sending", "c sending"]);
  expect(sending.get("a")!.had).toBe("upload of a");
  await end("a");
  await end("c");
  expect(attached).toEqual(["e: b", "e: a", "e: c"]);
});

it("what Fastigo itself cannot take now keeps its sentence until it is tried again", async () => {
  const { queue, end, states } = started();
  queue.add("e", [file("a")]);
  await end("a", { kind: "broken_off", sentence: "There is no place for files now." });
  expect(states()).toEqual(["a broken_off"]);
  expect(queue.getList()[0]!.problem).toBe("There is no place for files now.");
  queue.goOn();
  expect(queue.getList()[0]).toMatchObject({ state: "sending", problem: null });
});

it("one that is taken out is stopped, and holds nobody up", async () => {
  const { queue, sending, attached, end, states } = started();
  queue.add("e", [file("a"), file("b")]);
  await end("b");
  queue.drop(queue.getList()[0]!.key);
  expect(sending.get("a")!.aborted()).toBe(true);
  expect(attached).toEqual(["e: b"]);
  expect(states()).toEqual([]);
  // What comes of it later is nobody's any more.
  await end("a");
  expect(attached).toEqual(["e: b"]);
});

it("what can no longer be put where it belongs says so", async () => {
  const { queue, end, states } = started(() => "The event is gone.");
  queue.add("e", [file("a")]);
  await end("a");
  expect(states()).toEqual(["a failed"]);
  expect(queue.getList()[0]!.problem).toBe("The event is gone.");
});

it("a film that will not play everywhere is named before anything is sent, and sent all the same if one says so", async () => {
  const sent: string[] = [];
  const queue = new UploadQueue("t", {
    send: async (_, f) => {
      sent.push(f.name);
      return { kind: "done", media: { ...media(f.name), kind: "video" } };
    },
    preview: async () => null,
    doubts: async (f) => (f.name.startsWith("hevc") ? "It will not play everywhere." : null),
    attach: () => null,
    onNetwork: () => () => {},
  });
  const settle = () => new Promise((resolve) => setImmediate(resolve));
  queue.add("e", [file("hevc.mov", "video/quicktime"), file("plain.mp4", "video/mp4"), file("hevc2.mov", "video/mp4")]);
  await settle();
  expect(sent).toEqual(["plain.mp4"]);
  const asks = queue.getList();
  expect(asks.map((f) => `${f.name} ${f.state} ${f.problem}`)).toEqual([
    "hevc.mov asks It will not play everywhere.",
    "hevc2.mov asks It will not play everywhere.",
  ]);
  queue.sendAnyway(asks[0]!.key);
  queue.drop(asks[1]!.key);
  await settle();
  expect(sent).toEqual(["plain.mp4", "hevc.mov"]);
  expect(queue.getList()).toEqual([]);
});
