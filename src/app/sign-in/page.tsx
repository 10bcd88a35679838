import { ownPath, SignPage } from "../sign-page";

export const metadata = { title: "Sign in" };

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  return <SignPage mode="in" to={ownPath((await searchParams).to)} />;
}
