import Link from "next/link";
import { lateText } from "@/core/time/late";
import type { ClassCard } from "@/server/classes/class";
import type { StudentWork } from "@/server/classes/home";
import { LocalTime } from "@/ui/local-time";

/** What is due, what came back, and the classes one is in. */
export function HomeAside({ classes, work }: { classes: ClassCard[]; work: StudentWork[] }) {
  const due = work.filter((w) => !w.submittedAt);
  const waiting = work.filter((w) => w.submittedAt && !w.returnedAt);
  const returned = work.filter((w) => w.returnedAt);
  const link = (w: StudentWork) => (w.timeline ? `/timelines/${w.timeline}` : `/assignments/${w.assignment}`);
  return (
    <aside
      aria-label="Classes and work"
      className="w-[340px] shrink-0 border-l border-line bg-panel px-5 py-6 max-lg:w-full max-lg:border-t max-lg:border-l-0"
    >
      {due.length > 0 ? <h2 className="mb-2 text-[20px]">Due</h2> : null}
      {due.map((w) => (
        <Card key={w.assignment} colour="border-l-sun">
          <Link href={link(w)} className="font-head text-[16px] font-[650] underline">
            {w.title}
          </Link>
          <p className="text-[14px]">
            {w.className} · <LocalTime at={w.dueAt.toISOString()} />
          </p>
          <p className="text-[14px]">
            {w.timeline ? "begun" : "not begun"}
            {w.dueAt.getTime() < Date.now() ? (
              <strong className="text-copper-dark"> · {lateText((Date.now() - w.dueAt.getTime()) / 1000)}</strong>
            ) : null}
          </p>
        </Card>
      ))}
      {waiting.length > 0 ? <h2 className="mt-5 mb-2 text-[20px]">Submitted</h2> : null}
      {waiting.map((w) => (
        <Card key={w.assignment} colour="border-l-verdigris-light">
          <Link href={link(w)} className="font-head text-[16px] font-[650] underline">
            {w.title}
          </Link>
          <p className="text-[14px]">
            {w.className} · <LocalTime at={w.submittedAt!.toISOString()} />
          </p>
        </Card>
      ))}
      {returned.length > 0 ? <h2 className="mt-5 mb-2 text-[20px]">Returned</h2> : null}
      {returned.map((w) => (
        <Card key={w.assignment} colour="border-l-verdigris">
          <Link href={link(w)} className="font-head text-[16px] font-[650] underline">
            {w.title}
          </Link>
          <p className="text-[14px]">
            {w.points === null ? "no points yet" : `${w.points} of ${w.total}`}
            {w.comment ? ` · “${w.comment}”` : ""}
          </p>
        </Card>
      ))}
      <h2 className="mt-5 mb-2 text-[20px] first:mt-0">Classes</h2>
      <ul>
        {classes.map((c) => (
          <li key={c.id} className="py-0.5">
            <Link href={`/classes/${c.id}`} className="font-bold text-verdigris underline">
              {c.name}
            </Link>
            <span className="ml-2 text-[14px] text-quiet">
              {c.role === "teacher" ? `${c.members} ${c.members === 1 ? "student" : "students"}` : "student"}
            </span>
          </li>
        ))}
      </ul>
    </aside>
  );
}

function Card({ colour, children }: { colour: string; children: React.ReactNode }) {
  return (
    <div className={`mb-2 rounded-lg border border-l-[6px] border-line bg-white px-3 py-2.5 ${colour}`}>{children}</div>
  );
}
