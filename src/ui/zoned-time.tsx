import { zonedText } from "@/core/time/zoned";

/** A time in the zone it is said in, with the zone's name: the same for everybody who reads it. */
export function ZonedTime({ at, zone }: { at: string; zone: string }) {
  return <time dateTime={at}>{zonedText(new Date(at), zone)}</time>;
}
