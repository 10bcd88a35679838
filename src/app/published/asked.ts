import { daysOf } from "@/core/published/found-in";
import { readWhen } from "@/core/time/read/read-when";
import { isDated } from "@/core/time/when";
import { A_PAGE, type Asked, MOST_COUNTED, ORDERS } from "@/server/publishing/search";

/** What an address asks of the search: what was typed in each field, what it means, and a period that could not be read. */
export function askedFrom(params: Record<string, string | string[] | undefined>): {
  asked: Asked;
  typed: Record<string, string>;
  unread: string | null;
} {
  const text = (name: string, most: number) => {
    const value = params[name];
    return (typeof value === "string" ? value : "")
      .replaceAll(/\p{Cc}/gu, " ")
      .trim()
      .slice(0, most);
  };
  const typed = Object.fromEntries(
    Object.entries({
      q: text("q", 200),
      period: text("period", 80),
      subject: text("subject", 120),
      pictures: text("pictures", 1),
      order: text("order", 20),
    }).filter(([, v]) => v !== ""),
  );
  const when = typed.period ? readWhen(typed.period) : null;
  const days = when && isDated(when) ? daysOf(when, []) : null;
  const page = Number(text("page", 4));
  return {
    asked: {
      words: typed.q ?? "",
      subject: typed.subject ?? "",
      period: days && days.from !== null && days.to !== null ? { from: days.from, to: days.to } : null,
      pictures: typed.pictures === "1",
      order: ORDERS.find((o) => o === typed.order) ?? (typed.q ? "best" : "newest"),
      page: Number.isInteger(page) && page > 0 ? Math.min(page, Math.ceil(MOST_COUNTED / A_PAGE) - 1) : 0,
    },
    typed,
    unread: typed.period && !days ? typed.period : null,
  };
}
