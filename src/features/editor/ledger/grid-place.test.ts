import { expect, it } from "vitest";
import { blockOf, type GridColumn, HEADER, isOneCell, ownColumns, type Place, stepped, type Way } from "./grid-place";

const rows = ["a", "b", "c"];
const shape = {
  rows,
  rowAt: new Map(rows.map((r, i) => [r, i])),
  columns: ["mark", "when", "title", "more"] as GridColumn[],
};
const at = (row: string, column: GridColumn): Place => ({ row, column });
const standing = (place: Place) => ({ active: place, anchor: place });

it.each<[string, Place, Way, Place]>([
  ["down", at("a", "when"), "down", at("b", "when")],
  ["not below the last row", at("c", "when"), "down", at("c", "when")],
  ["above the first row are the columns' names", at("a", "title"), "up", at(HEADER, "title")],
  ["not above them", at(HEADER, "title"), "up", at(HEADER, "title")],
  ["and back", at(HEADER, "title"), "down", at("a", "title")],
  ["not left of the first column", at("a", "mark"), "left", at("a", "mark")],
  ["the end of the row", at("a", "when"), "rowEnd", at("a", "more")],
  ["the last cell", at("a", "when"), "last", at("c", "more")],
  ["a page down", at("a", "when"), "pageDown", at("c", "when")],
  ["a page up stays in the rows", at("c", "when"), "pageUp", at("a", "when")],
  ["from a row that has gone", at("gone", "when"), "down", at("b", "when")],
])("%s", (_, from, way, to) => expect(stepped(standing(from), way, false, shape).active).toEqual(to));

it("a block grows from where it began, and never into the columns' names", () => {
  let now = standing(at("b", "title"));
  for (const way of ["up", "up", "left"] as const) now = stepped(now, way, true, shape);
  expect(now).toEqual({ active: at("a", "when"), anchor: at("b", "title") });
  const block = blockOf(now, shape)!;
  expect(block).toEqual({ top: 0, bottom: 1, left: 1, right: 2 });
  expect([isOneCell(block), ownColumns(block, shape.columns)]).toEqual([false, ["when", "title"]]);
  expect(stepped(now, "down", false, shape).anchor).toEqual(at("b", "when"));
});

it("in the header, and in a row that has gone, there is no block", () => {
  expect(blockOf(standing(at(HEADER, "when")), shape)).toBeNull();
  expect(blockOf(standing(at("gone", "when")), shape)).toBeNull();
});

it("with no rows one stands in the columns' names", () => {
  const empty = { rows: [], rowAt: new Map<string, number>(), columns: shape.columns };
  expect(stepped(standing(at(HEADER, "when")), "down", false, empty).active).toEqual(at(HEADER, "when"));
});
