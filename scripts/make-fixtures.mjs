// npm run fixtures: makes the spreadsheet files that tests read (fixtures/bring-in) anew with LibreOffice Calc, which has to be
// there (Debian: libreoffice-calc-nogui). They are committed, so that tests need it not.
import { spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ROOT } from "./lib/machine.mjs";

const OUT = join(ROOT, "fixtures", "bring-in");

/** Cells as a spreadsheet holds them: texts, numbers, days with the style they are shown in, a formula, a link. */
const text = (t) =>
  `<table:table-cell office:value-type="string">${t
    .split("\n")
    .map((p) => `<text:p>${p}</text:p>`)
    .join("")}</table:table-cell>`;
const number = (n) =>
  `<table:table-cell office:value-type="float" office:value="${n}"><text:p>${n}</text:p></table:table-cell>`;
const day = (iso, style = "day") =>
  `<table:table-cell table:style-name="${style}" office:value-type="date" office:date-value="${iso}"/>`;
const none = "<table:table-cell/>";
const formula = `<table:table-cell table:formula="of:=1840+6" office:value-type="float" office:value="1846"><text:p>1846</text:p></table:table-cell>`;
const percent = `<table:table-cell table:style-name="percent" office:value-type="percentage" office:value="0.5"><text:p>50%</text:p></table:table-cell>`;
const link = `<table:table-cell office:value-type="string"><text:p><text:a xlink:href="https://ambrel.example/ferry" xlink:type="simple">The last ferry</text:a></text:p></table:table-cell>`;

const ROWS = [
  ["When", "Title", "Category", "Note", "Done"].map(text),
  [text("c. 1604"), text("Rope ferry, &quot;the long one&quot;"), text("Crossing"), text("007"), none],
  [day("1872-11-14"), text("The long night flood"), text("Weather &amp; water"), text("Two\nlines"), number(40)],
  [day("1872-11-14T22:10:00", "moment"), text("Brücke überspült"), text("Weather &amp; water"), text("=2+3"), percent],
  [day("1900-01-01"), text("New century"), text("Town life"), none, none],
  [day("1900-02-28"), text("Last day of February"), text("Town life"), none, none],
  [day("1900-03-01"), text("First of March"), text("Town life"), none, none],
  [day("1783-05-01", "month"), text("Two arches lost"), text("Weather &amp; water"), none, none],
  [day("1846-01-01", "year"), text("Bell recast"), text("Town life"), none, none],
  [formula, text("Bell rung"), text("Town life"), none, none],
  [text("31/02/1889"), text("Viaduct tested"), text("Crossing"), none, none],
  [none, text("No day is known"), none, none, none],
  [day("1931-09-27"), link, text("Crossing"), none, none],
];

const flat = (rows, nullDate) => `<?xml version="1.0" encoding="UTF-8"?>
<office:document xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" xmlns:style="urn:oasis:names:tc:opendocument:xmlns:style:1.0" xmlns:number="urn:oasis:names:tc:opendocument:xmlns:datastyle:1.0" xmlns:xlink="http://www.w3.org/1999/xlink" xmlns:of="urn:oasis:names:tc:opendocument:xmlns:of:1.2" office:version="1.2" office:mimetype="application/vnd.oasis.opendocument.spreadsheet">
<office:automatic-styles>
<number:date-style style:name="N1"><number:day/><number:text>.</number:text><number:month/><number:text>.</number:text><number:year number:style="long"/></number:date-style>
<number:date-style style:name="N2"><number:day/><number:text>.</number:text><number:month/><number:text>.</number:text><number:year number:style="long"/><number:text> </number:text><number:hours number:style="long"/><number:text>:</number:text><number:minutes number:style="long"/></number:date-style>
<number:date-style style:name="N3"><number:month number:textual="true"/><number:text> </number:text><number:year number:style="long"/></number:date-style>
<number:date-style style:name="N4"><number:year number:style="long"/></number:date-style>
<number:percentage-style style:name="N5"><number:number number:decimal-places="0" number:min-integer-digits="1"/><number:text>%</number:text></number:percentage-style>
<style:style style:name="day" style:family="table-cell" style:data-style-name="N1"/>
<style:style style:name="moment" style:family="table-cell" style:data-style-name="N2"/>
<style:style style:name="month" style:family="table-cell" style:data-style-name="N3"/>
<style:style style:name="year" style:family="table-cell" style:data-style-name="N4"/>
<style:style style:name="percent" style:family="table-cell" style:data-style-name="N5"/>
</office:automatic-styles>
<office:body><office:spreadsheet>
<table:calculation-settings><table:null-date table:date-value="${nullDate}"/></table:calculation-settings>
<table:table table:name="Crossings">${rows.map((r) => `<table:table-row>${r.join("")}</table:table-row>`).join("\n")}</table:table>
<table:table table:name="Empty"/>
<table:table table:name="Tolls"><table:table-row>${text("Year")}${text("Toll")}</table:table-row><table:table-row>${number(1631)}${text("Salt")}</table:table-row></table:table>
</office:spreadsheet></office:body></office:document>`;

const work = mkdtempSync(join(tmpdir(), "fixtures-"));
mkdirSync(OUT, { recursive: true });
/** The file LibreOffice makes of a flat one. */
function made(name, rows, nullDate, filter, as) {
  const source = join(work, `${name}.fods`);
  writeFileSync(source, flat(rows, nullDate));
  const ending = filter.split(":")[0];
  const done = spawnSync(
    "soffice",
    ["--headless", `-env:UserInstallation=file://${work}/profile`, "--convert-to", filter, "--outdir", work, source],
    { encoding: "utf8" },
  );
  if (done.error || done.status !== 0) throw new Error(`LibreOffice (soffice) is needed: ${done.error ?? done.stderr}`);
  renameSync(join(work, `${name}.${ending}`), join(OUT, as));
  console.log(as);
}
// Tabs would tell a table apart anyway; commas and semicolons have to be found.
const csv = (delimiter, letters) => `csv:Text - txt - csv (StarCalc):${delimiter},34,${letters}`;
const ROWS_1904 = ROWS.filter((_, n) => ![7, 8].includes(n)).filter(
  (r) => !r[0].includes('"18') && !r[0].includes('"17') && !r[0].includes('"1900'),
);
made("crossings", ROWS, "1899-12-30", "ods", "crossings.ods");
made("crossings", ROWS, "1899-12-30", "xlsx", "crossings.xlsx");
made("crossings", ROWS_1904, "1904-01-01", "xlsx", "crossings-1904.xlsx");
made("crossings", ROWS, "1899-12-30", csv(44, 76), "crossings-utf8.csv");
made("crossings", ROWS, "1899-12-30", csv(59, 1), "crossings-1252.csv");
made("crossings", ROWS, "1899-12-30", csv(9, 65535), "crossings-utf16.csv");
rmSync(work, { recursive: true });
