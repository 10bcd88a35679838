import "server-only";
import { publicUrl } from "@/server/http/origin";

/** Where providers send people back to. */
export const BACK_PATH = "/api/sign-on/back";

const NAME = "fastigo_sign_on";
const MINUTES = 15;

/** Holds a sign-on that is under way, so that the browser that began it is the one that comes back. "" ends it. */
export const heldCookie = (value: string) =>
  `${NAME}=${value}; Path=/; Max-Age=${value ? MINUTES * 60 : 0}; HttpOnly; SameSite=Lax${publicUrl()?.protocol === "https:" ? "; Secure" : ""}`;

export function heldIn(cookies: string | null): string | null {
  return new RegExp(`(?:^|; )${NAME}=([A-Za-z0-9_-]+)`).exec(cookies ?? "")?.[1] ?? null;
}
