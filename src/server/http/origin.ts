import "server-only";

/** The address people use; decides Secure cookies and what counts as another origin. Without it, the Host header does. */
export function publicUrl(): URL | null {
  return process.env.PUBLIC_URL ? new URL(process.env.PUBLIC_URL) : null;
}

/** An address of Fastigo's own, as the people who use it know it. */
export function ownAddress(request: Request, path: string): URL {
  return new URL(path, publicUrl() ?? `http://${request.headers.get("host")}`);
}

/**
 * Whether a request that alters something comes from Fastigo's own pages. Browsers send Origin with every such
 * request; one without it is no browser's, and carries no cookie by accident.
 */
export function isOwnOrigin(request: Request): boolean {
  const origin = request.headers.get("origin");
  if (origin === null)
    return request.headers.get("sec-fetch-site") === null || request.headers.get("sec-fetch-site") === "same-origin";
  const own = publicUrl();
  if (own) return origin === own.origin;
  try {
    return new URL(origin).host === request.headers.get("host");
  } catch {
    return false;
  }
}
