"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { WORDS } from "@/core/words/home";
import { useForm } from "react-hook-form";
import { LIMITS } from "@/core/change/limits";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";
import { Problem } from "@/ui/controls/problem";

/** A title and, if wanted, a subject; everything else is written in the timeline itself. */
export function NewForm() {
  const { register, handleSubmit, setError, formState } = useForm({ defaultValues: { title: "", subject: "" } });
  const { errors, isSubmitting } = formState;
  const ready = useReady();
  const submit = handleSubmit(async (v) => {
    const answer = await askServer<{ id: string }>("POST", "/api/timelines", v);
    if (answer.ok) window.location.assign(`/timelines/${answer.value.id}`);
    else setError("root", { message: answer.sentence });
  });
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <Field label={WORDS.title} hint={WORDS.youCanLeaveItEmpty} problem={errors.title?.message}>
        {(ids) => (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            maxLength={LIMITS.title}
            // biome-ignore lint/a11y/noAutofocus: the page has this one purpose
            autoFocus
            className={INPUT}
            {...register("title")}
          />
        )}
      </Field>
      <Field label={WORDS.subject} hint={WORDS.whatItIsAboutIn}>
        {(ids) => (
          <>
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              maxLength={LIMITS.subject}
              list="subjects"
              className={INPUT}
              {...register("subject")}
            />
            <datalist id="subjects">
              {COMMON.subjects.map((s) => (
                <option key={s} value={s} />
              ))}
            </datalist>
          </>
        )}
      </Field>
      <Problem text={errors.root?.message} framed />
      <div>
        <Button kind="main" type="submit" disabled={isSubmitting || !ready}>
          {WORDS.makeIt}
        </Button>
      </div>
    </form>
  );
}
