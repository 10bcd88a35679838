import { locale } from "../language/spoken";
/**
 * An instant in the time zone it is said in, with the zone's name: "Fri 11 Dec 2026, 16:00 GMT". Zones are named as the IANA names
 * them; one nobody knows counts as UTC. The same on a server and in every browser. `short`: "11 Dec, 16:00 GMT".
 */
export function zonedText(at: Date, zone: string, short = false): string {
  try {
    return format(at, zone, short);
  } catch {
    return format(at, "UTC", short);
  }
}

/** A day in a time zone: "26 November 2026". */
export function dayText(at: Date, zone: string): string {
  const day = { day: "numeric", month: "long", year: "numeric" } as const;
  try {
    return at.toLocaleDateString(locale(), { ...day, timeZone: zone });
  } catch {
    return at.toLocaleDateString(locale(), { ...day, timeZone: "UTC" });
  }
}

function format(at: Date, timeZone: string, short: boolean): string {
  return at
    .toLocaleString(locale(), {
      timeZone,
      ...(short ? {} : { weekday: "short", year: "numeric" }),
      day: "numeric",
      month: "short",
      hour: "2-digit",
      minute: "2-digit",
      timeZoneName: "short",
    })
    .replace(/^([A-Z]\w+),? /, "$1 ") // English: "Fri 11 Dec", others as they write it
    .replace(" at ", ", ");
}
