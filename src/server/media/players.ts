import "server-only";
import { readFileSync } from "node:fs";
import { type PlayerSite, urlOf } from "@/core/outside/players";
import { object } from "@/core/text/schema";
import { shape } from "../http/shape";

const ADDRESS = { type: "string", pattern: "^https?://[^\\s/@]+(/\\S*)?$", maxLength: 2_000 };
const isList = shape<Partial<PlayerSite>[]>({
  type: "array",
  maxItems: 200,
  items: object(
    {
      name: { type: "string", minLength: 1, maxLength: 80 },
      pages: { type: "array", minItems: 1, maxItems: 20, items: ADDRESS },
      oembed: ADDRESS,
      origins: { type: "array", minItems: 1, maxItems: 20, items: { ...ADDRESS, pattern: "^https?://[^\\s/@*]+$" } },
      plays: { enum: ["video", "sound"] },
      begin: { type: "string", maxLength: 40 },
      end: { type: "string", maxLength: 40 },
    },
    ["oembed", "plays", "begin", "end"],
  ),
});

let known: readonly PlayerSite[] | null = null;

/** The players of other sites that may be shown here: of the file PLAYERS names, and the stand-in where one runs. */
export function playerSites(): readonly PlayerSite[] {
  return (known ??= [...fromFile(process.env.PLAYERS), ...standIn(process.env.STAND_IN_PLAYER)]);
}

/** A list that cannot be read allows no player, which the server's messages say. */
function fromFile(path: string | undefined): PlayerSite[] {
  if (!path) return [];
  try {
    const list: unknown = JSON.parse(readFileSync(path, "utf8"));
    if (!isList(list)) throw new Error(isList.lacks("the list"));
    return list.map((s) => ({ oembed: "", plays: "video", begin: "", end: "", ...s }) as PlayerSite);
  } catch (error) {
    console.error(
      `The list of players in ${path} cannot be read, so no player of another site is shown: ${(error as Error).message}`,
    );
    return [];
  }
}

function standIn(address: string | undefined): PlayerSite[] {
  const origin = address && urlOf(address)?.origin;
  if (!origin) return [];
  return [
    {
      name: "Ambrel films",
      pages: [`${origin}/films/*`],
      oembed: `${origin}/oembed`,
      origins: [origin],
      plays: "video",
      begin: "begin",
      end: "end",
    },
  ];
}
