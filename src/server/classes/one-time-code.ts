import "server-only";
import { createHash } from "node:crypto";
import { customAlphabet } from "nanoid";

const digits = customAlphabet("23456789", 3);
export const newOneTimeCode = customAlphabet("abcdefghjkmnpqrstuvwxyz23456789", 10);
export const hashOf = (code: string) =>
  createHash("sha256")
    .update(code.toLowerCase().replaceAll(/[^a-z0-9]/g, ""))
    .digest();

/** Stands for the password of an account that has none yet: no password has this hash. */
export const CLOSED = "closed";

/** Makes a sign-in name out of a display name ("nia-482"); `take` says whether it was free. */
export async function newSignInName(displayName: string, take: (name: string) => Promise<boolean>): Promise<string> {
  const stem =
    displayName
      .normalize("NFKD")
      .toLowerCase()
      .replaceAll(/[^a-z0-9]/g, "")
      .slice(0, 20) || "student";
  for (let attempt = 0; ; attempt++) {
    const name = `${stem}-${digits()}${attempt > 5 ? digits() : ""}`;
    if (await take(name)) return name;
  }
}
