import { isClean } from "@/core/text/clean";

/** Only a path of Fastigo's own may be led to after signing in. */
export function ownPath(to: string | string[] | undefined): string {
  if (typeof to !== "string" || !isClean(to) || /[\t\n\r]/.test(to)) return "/";
  try {
    // As a browser reads it: tabs, backslashes and dots are taken out there, and what then leads away is not followed.
    const url = new URL(to, "http://own.invalid");
    return url.origin === "http://own.invalid" && !url.pathname.startsWith("//")
      ? url.pathname + url.search + url.hash
      : "/";
  } catch {
    return "/";
  }
}
