import { zonedText } from "@/core/time/zoned";

/** A time in the zone it is said in, with the zone's name: the same for everybody who reads it. */
export function ZonedTime({ at, zone, short = false }: { at: string; zone: string; short?: boolean }) {
  return (
    <time dateTime={at} title={short ? zonedText(new Date(at), zone) : undefined}>
      {zonedText(new Date(at), zone, short)}
    </time>
  );
}
