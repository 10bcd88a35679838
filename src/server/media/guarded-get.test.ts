import { describe, expect, it, vi } from "vitest";
import { guardedGet } from "./guarded-get";

const names = vi.hoisted(() => ({ lookup: vi.fn() }));
vi.mock("node:dns/promises", () => names);

describe("asking an address", () => {
  it("ends at its deadline also while its name is being looked up", async () => {
    names.lookup.mockReturnValue(new Promise(() => {}));
    const begun = Date.now();
    const answer = await guardedGet(new URL("https://slow.example/"), begun + 60, { mostBytes: 0, accept: "*/*" });
    expect(answer).toMatchObject({ failed: "address_slow" });
    expect(Date.now() - begun).toBeGreaterThanOrEqual(59);
  });

  it("says so where the name is nobody's", async () => {
    names.lookup.mockRejectedValue(new Error("ENOTFOUND"));
    const answer = await guardedGet(new URL("https://nobody.example/"), Date.now() + 5_000, {
      mostBytes: 0,
      accept: "*/*",
    });
    expect(answer).toMatchObject({ failed: "address_unreachable" });
  });

  it("asks nobody where the name leads into a private network", async () => {
    names.lookup.mockResolvedValue([{ address: "10.0.0.1", family: 4 }]);
    const answer = await guardedGet(new URL("https://inside.example/"), Date.now() + 5_000, {
      mostBytes: 0,
      accept: "*/*",
    });
    expect(answer).toMatchObject({ failed: "address_private" });
  });
});
