import "server-only";

/** Where platforms send people to. */
export const LAUNCH_PATH = "/api/lti/launch";

const NAME = "fastigo_lti";
const MINUTES = 10;

/** Holds a login that is under way, so that the browser that began it is the one that comes back: from another site, by a form. */
export const loginCookie = (state: string) =>
  `${NAME}=${state}; Path=/api/lti; Max-Age=${MINUTES * 60}; HttpOnly; Secure; SameSite=None`;

export function heldBy(request: Request): string | null {
  const found = new RegExp(`(?:^|; )${NAME}=([A-Za-z0-9]+)`).exec(request.headers.get("cookie") ?? "");
  return found?.[1] ?? null;
}
