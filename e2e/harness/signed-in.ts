import type { Page } from "@playwright/test";
import type { Actor } from "../attack/actor";
import { serverUrl } from "./people";

/** A browser as somebody who was made by the routes alone. */
export async function signedIn(page: Page, actor: Actor): Promise<void> {
  await page
    .context()
    .addCookies(
      actor.cookie.split("; ").map((c) => ({ name: c.split("=")[0]!, value: c.split("=")[1]!, url: serverUrl() })),
    );
}
