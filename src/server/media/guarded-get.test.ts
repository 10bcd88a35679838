import { describe, expect, it } from "vitest";
import { guardedGet } from "./guarded-get";

/** Asks a name that leads to what is given. */
const ask = (resolve: () => Promise<{ address: string; family: number }[]>, deadline = Date.now() + 5_000) =>
  guardedGet(new URL("https://somewhere.example/"), deadline, { mostBytes: 0, accept: "*/*", resolve });

describe("asking an address", () => {
  it("ends at its deadline also while its name is being looked up", async () => {
    const begun = Date.now();
    const answer = await ask(() => new Promise(() => {}), begun + 60);
    expect(answer).toMatchObject({ failed: "address_slow" });
    expect(Date.now() - begun).toBeGreaterThanOrEqual(59);
  });

  it("says so where the name is nobody's", async () => {
    expect(await ask(() => Promise.reject(new Error("ENOTFOUND")))).toMatchObject({ failed: "address_unreachable" });
    expect(await ask(async () => [])).toMatchObject({ failed: "address_unreachable" });
  });

  it("asks nobody where the name leads into a private network", async () => {
    expect(await ask(async () => [{ address: "10.0.0.1", family: 4 }])).toMatchObject({ failed: "address_private" });
  });
});
