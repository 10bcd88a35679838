/** The time zone this browser is in, as the IANA names it. */
export function ownZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC";
}
