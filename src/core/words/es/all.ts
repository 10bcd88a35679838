import * as accounts from "./accounts";
import * as addresses from "./addresses";
import * as bringIn from "./bring-in";
import * as calls from "./calls";
import * as chart from "./chart";
import * as checks from "./checks";
import * as classWork from "./class-work";
import * as classes from "./classes";
import * as common from "./common";
import * as controls from "./controls";
import * as dates from "./dates";
import * as editorAbout from "./editor-about";
import * as editorChart from "./editor-chart";
import * as editorClassWork from "./editor-class-work";
import * as editorFind from "./editor-find";
import * as editorHistory from "./editor-history";
import * as editorLedger from "./editor-ledger";
import * as editorLocal from "./editor-local";
import * as editorShare from "./editor-share";
import * as editorSheet from "./editor-sheet";
import * as editorStore from "./editor-store";
import * as editor from "./editor";
import * as failures from "./failures";
import * as figures from "./figures";
import * as findings from "./findings";
import * as folder from "./folder";
import * as guide from "./guide";
import * as home from "./home";
import * as indexView from "./index-view";
import * as instructions from "./instructions";
import * as late from "./late";
import * as letters from "./letters";
import * as licences from "./licences";
import * as limits from "./limits";
import * as lookOver from "./look-over";
import * as looks from "./looks";
import * as marking from "./marking";
import * as moderation from "./moderation";
import * as notices from "./notices";
import * as ownEvents from "./own-events";
import * as pages from "./pages";
import * as paper from "./paper";
import * as peers from "./peers";
import * as people from "./people";
import * as pictureChoice from "./picture-choice";
import * as places from "./places";
import * as platform from "./platform";
import * as practice from "./practice";
import * as presence from "./presence";
import * as presenting from "./presenting";
import * as privacy from "./privacy";
import * as publishedPages from "./published-pages";
import * as reader from "./reader";
import * as recording from "./recording";
import * as reports from "./reports";
import * as rubricTable from "./rubric-table";
import * as schools from "./schools";
import * as setting from "./setting";
import * as sheets from "./sheets";
import * as sources from "./sources";
import * as stage from "./stage";
import * as startingPoints from "./starting-points";
import * as steps from "./steps";
import * as suggestions from "./suggestions";
import * as takeOut from "./take-out";
import * as teaching from "./teaching";
import * as template from "./template";
import * as together from "./together";
import * as uploadQueue from "./upload-queue";
import type { Like } from "../like";
import type { English } from "../english";

/** Everything in Spanish. A room or a sentence that is missing does not compile. */
export const ES: Like<English> = {
  accounts,
  addresses,
  "bring-in": bringIn,
  calls,
  chart,
  checks,
  "class-work": classWork,
  classes,
  common,
  controls,
  dates,
  "editor-about": editorAbout,
  "editor-chart": editorChart,
  "editor-class-work": editorClassWork,
  "editor-find": editorFind,
  "editor-history": editorHistory,
  "editor-ledger": editorLedger,
  "editor-local": editorLocal,
  "editor-share": editorShare,
  "editor-sheet": editorSheet,
  "editor-store": editorStore,
  editor,
  failures,
  figures,
  findings,
  folder,
  guide,
  home,
  "index-view": indexView,
  instructions,
  late,
  letters,
  licences,
  limits,
  "look-over": lookOver,
  looks,
  marking,
  moderation,
  notices,
  "own-events": ownEvents,
  pages,
  paper,
  peers,
  people,
  "picture-choice": pictureChoice,
  places,
  platform,
  practice,
  presence,
  presenting,
  privacy,
  "published-pages": publishedPages,
  reader,
  recording,
  reports,
  "rubric-table": rubricTable,
  schools,
  setting,
  sheets,
  sources,
  stage,
  "starting-points": startingPoints,
  steps,
  suggestions,
  "take-out": takeOut,
  teaching,
  template,
  together,
  "upload-queue": uploadQueue,
};
