"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/accounts";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { saveFile } from "@/ui/save-file";
import { useQrCode } from "@/ui/use-qr-code";
import { ByPassword, Part, Said, useForm } from "./account-pieces";
import { CodeField } from "./code-field";

interface Begun {
  secret: string;
  address: string;
}

/** Codes of a device beside the password: turned on, proved, and turned off again. */
export function StepCodes({ on }: { on: boolean }) {
  const [begun, setBegun] = useState<Begun | null>(null);
  const [spare, setSpare] = useState<string[] | null>(null);
  return (
    <Part title={WORDS.steps}>
      {spare ? <Spare codes={spare} onDone={() => setSpare(null)} /> : null}
      {on && !spare ? <TurnOff /> : null}
      {!on && !begun && !spare ? <TurnOn onBegun={setBegun} /> : null}
      {!on && begun && !spare ? (
        <Prove
          begun={begun}
          onSpare={(codes) => {
            setSpare(codes);
            setBegun(null);
          }}
          onLeave={() => setBegun(null)}
        />
      ) : null}
    </Part>
  );
}

function TurnOn({ onBegun }: { onBegun: (b: Begun) => void }) {
  const form = useForm({ password: "" });
  const begin = form.send(async (v) => {
    const answer = await askServer<Begun>("POST", "/api/account/steps", v);
    if (answer.ok) onBegun(answer.value);
    return answer;
  }, "");
  return <ByPassword text={WORDS.stepsHelp} does={WORDS.stepsBegin} form={form} onSubmit={begin} />;
}

function Prove({ begun, onSpare, onLeave }: { begun: Begun; onSpare: (codes: string[]) => void; onLeave: () => void }) {
  const form = useForm({ code: "" });
  const picture = useQrCode(begun.address);
  return (
    <form
      noValidate
      className="flex flex-col gap-3"
      onSubmit={form.send(async (v) => {
        const answer = await askServer<{ spare: string[] }>("PUT", "/api/account/steps", v);
        if (answer.ok) onSpare(answer.value.spare);
        return answer;
      }, "")}
    >
      <p>{WORDS.stepsScan}</p>
      <div className="flex flex-wrap items-center gap-4">
        {picture ? (
          <img src={picture} alt={WORDS.stepsPicture} className="size-[180px] border border-line" />
        ) : (
          <div className="size-[180px] border border-line" />
        )}
        <div>
          <p className="text-[13px] text-quiet">{WORDS.stepsType}</p>
          <p className="font-bold tracking-wide [overflow-wrap:anywhere]" data-testid="step-secret">
            {begun.secret.match(/.{1,4}/g)!.join(" ")}
          </p>
        </div>
      </div>
      <CodeField hint={WORDS.stepCodeNow} value={form.values.code} onChange={form.set("code")} />
      <div className="flex gap-2">
        <Button kind="main" type="submit" disabled={form.disabled}>
          {WORDS.stepsOn}
        </Button>
        <Button kind="quiet" onClick={onLeave}>
          {WORDS.stepsLeave}
        </Button>
      </div>
      {form.outcome?.ok === false ? <Said outcome={form.outcome} /> : null}
    </form>
  );
}

function Spare({ codes, onDone }: { codes: string[]; onDone: () => void }) {
  const router = useRouter();
  return (
    <div role="status" className="flex flex-col items-start gap-3">
      <p>{WORDS.stepsSpare}</p>
      <ul className="grid grid-cols-2 gap-x-8 gap-y-1 rounded-md bg-panel p-4 font-bold tracking-wide tabular-nums">
        {codes.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      <div className="flex gap-2">
        <Button
          onClick={() =>
            saveFile(
              new Blob([`${WORDS.stepsFile}\n\n${codes.join("\n")}\n`], { type: "text/plain" }),
              "fastigo-codes",
              ".txt",
            )
          }
        >
          {WORDS.stepsSave}
        </Button>
        <Button
          kind="main"
          onClick={() => {
            onDone();
            router.refresh();
          }}
        >
          {WORDS.stepsKept}
        </Button>
      </div>
    </div>
  );
}

function TurnOff() {
  const router = useRouter();
  const form = useForm({ password: "" });
  const end = form.send(
    (v) => askServer("DELETE", "/api/account/steps", v),
    WORDS.stepsAreOff,
    () => {
      form.clear();
      router.refresh();
    },
  );
  return <ByPassword text={WORDS.stepsAreOn} does={WORDS.stepsOff} form={form} onSubmit={end} />;
}
