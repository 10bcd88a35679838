import "server-only";
import { cookies } from "next/headers";
import { redirect } from "next/navigation";
import { findUserByCookie, type User } from "../accounts/sessions";

/** Who asks for a page; null when nobody is signed in. */
export async function findPageUser(): Promise<User | null> {
  return findUserByCookie((await cookies()).toString());
}

/** Who asks for a page that needs a person; leads to signing in and back. */
export async function requirePageUser(path: string): Promise<User> {
  return (await findPageUser()) ?? redirect(`/sign-in?to=${encodeURIComponent(path)}`);
}
