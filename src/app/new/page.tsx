import { NewForm } from "@/features/home/new-form";
import { requirePageUser } from "@/server/http/page-user";
import { UserBar } from "../user-bar";

export const metadata = { title: "New timeline" };

export default async function NewPage() {
  await requirePageUser("/new");
  return (
    <>
      <UserBar />
      <main className="mx-auto max-w-[480px] px-5 py-10">
        <h1 className="mb-5 text-[26px]">New timeline</h1>
        <NewForm />
      </main>
    </>
  );
}
