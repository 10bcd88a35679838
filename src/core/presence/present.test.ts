import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { contrast } from "../looks/colour";
import {
  colourOf,
  goesAlong,
  GONE_AFTER_MS,
  hear,
  initialsOf,
  type OpenPage,
  PERSON_COLOURS,
  presentIn,
  stillHere,
  type Where,
} from "./present";

const at = (event: string | null): Where => ({ at: "ledger", event, field: "", follows: null });
let count = 0;
const said = (tab: string, account: string, where: Where | null) => ({
  tab,
  n: count++,
  account,
  name: account.toUpperCase(),
  where,
});

describe("who is here", () => {
  it("is whoever was heard of and has not gone, each once, where they were last, and not oneself", () => {
    let pages: OpenPage[] = [];
    pages = hear(pages, said("t1", "obi", at("e1")), 1);
    pages = hear(pages, said("t2", "obi", at("e2")), 2);
    pages = hear(pages, said("t3", "nia", at(null)), 3);
    pages = hear(pages, said("t4", "wren", at("e4")), 4);
    expect(presentIn(pages, "nia").map((p) => [p.account, p.where.event])).toEqual([
      ["obi", "e2"],
      ["wren", "e4"],
    ]);
    pages = hear(pages, said("t2", "obi", null), 5);
    expect(presentIn(pages, "nia")[0]!.where.event).toBe("e1");
    pages = hear(pages, said("t1", "obi", null), 6);
    expect(presentIn(pages, "nia").map((p) => p.name)).toEqual(["WREN"]);
  });

  it("ends when nothing was heard for long; while all are there the list is the same", () => {
    const pages = hear(hear([], said("a", "obi", at(null)), 0), said("b", "wren", at(null)), 30_000);
    expect(stillHere(pages, GONE_AFTER_MS - 1)).toBe(pages);
    expect(stillHere(pages, GONE_AFTER_MS).map((p) => p.tab)).toEqual(["b"]);
    expect(stillHere(pages, 30_000 + GONE_AFTER_MS)).toEqual([]);
  });

  it("does not come back by a message that was sent before it went and comes after", () => {
    const [came, moved, went] = [said("t", "obi", at("e1")), said("t", "obi", at("e2")), said("t", "obi", null)];
    const pages = [came, went, moved].reduce<OpenPage[]>((p, m, i) => hear(p, m, i), []);
    expect(presentIn(pages, "nia")).toEqual([]);
    expect(presentIn(hear(pages, said("t", "obi", at("e3")), 4), "nia")[0]!.where.event).toBe("e3");
  });

  it("comes to the same whatever order messages of different pages come in", () => {
    const message = fc.record({
      tab: fc.constantFrom("a", "b", "c"),
      account: fc.constantFrom("x", "y"),
      name: fc.constant("N"),
      n: fc.constant(0),
      where: fc.option(
        fc.record({
          at: fc.constant("chart" as const),
          event: fc.constantFrom("e1", "e2"),
          field: fc.constant(""),
          follows: fc.constant(null),
        }),
      ),
    });
    fc.assert(
      fc.property(fc.array(message, { maxLength: 30 }), (messages) => {
        const all = messages.map((m, i) => ({ ...m, account: `${m.account}${m.tab}`, i }));
        const run = (list: typeof all) => {
          let pages: OpenPage[] = [];
          for (const { i, ...m } of list) pages = hear(pages, { ...m, n: i }, i);
          return presentIn(pages, "nobody");
        };
        // By page, each page's own messages in their order.
        const grouped = ["a", "b", "c"].flatMap((tab) => all.filter((m) => m.tab === tab));
        expect(run(grouped)).toEqual(run(all));
      }),
    );
  });
});

it("of two who follow each other exactly one goes along; whoever is followed alone is gone along with", () => {
  const led = (account: string, follows: string | null) => ({ account, name: "", where: { ...at("e"), follows } });
  expect(goesAlong("a", led("b", "a"))).not.toBe(goesAlong("b", led("a", "b")));
  expect([goesAlong("a", led("b", null)), goesAlong("a", led("b", "c"))]).toEqual([true, true]);
});

describe("the sign of a person", () => {
  it.each([
    ["Nia", "NI"],
    ["Ms Ward", "MW"],
    ["Ada  Lena Byron", "AB"],
    ["é", "É"],
    ["", "?"],
    ["𝒳yz", "𝒳Y"],
  ])("%s is %s", (name, sign) => {
    expect(initialsOf(name)).toBe(sign);
  });

  it("has one colour a person, on which white is readable", () => {
    for (const c of PERSON_COLOURS) expect(contrast(c, "#FFFFFF")).toBeGreaterThanOrEqual(4.5);
    fc.assert(
      fc.property(fc.string(), (account) => {
        expect(colourOf(account)).toBe(colourOf(account));
        expect(PERSON_COLOURS).toContain(colourOf(account));
      }),
    );
  });
});
