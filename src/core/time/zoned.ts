/**
 * An instant in the time zone it is said in, with the zone's name: "Fri 11 Dec 2026, 16:00 GMT". Zones are named as the IANA names
 * them; one nobody knows counts as UTC. The same on a server and in every browser.
 */
export function zonedText(at: Date, zone: string): string {
  try {
    return format(at, zone);
  } catch {
    return format(at, "UTC");
  }
}

function format(at: Date, timeZone: string): string {
  return at
    .toLocaleString("en-GB", {
      timeZone,
      weekday: "short",
      day: "numeric",
      month: "short",
      year: "numeric",
      hour: "2-digit",
      minute: "2-digit",
      timeZoneName: "short",
    })
    .replace(/^(\w+),? /, "$1 ")
    .replace(" at ", ", ");
}
