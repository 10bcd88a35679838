import { WORDS as COMMON } from "@/core/words/common";
import { WORDS } from "@/core/words/recording";

/** A spoken comment on a submission, to be heard, with its words beneath. */
export function SpokenComment({
  submission,
  voice,
}: {
  submission: string;
  voice: { seconds: number; spoken: string };
}) {
  return (
    <div>
      {/* Another recording is another sound, which the browser is to fetch anew. */}
      {/* biome-ignore lint/a11y/useMediaCaption: its words are written beneath it */}
      <audio
        key={voice.seconds}
        src={`/api/submissions/${submission}/voice`}
        controls
        preload="metadata"
        aria-label={WORDS.spokenComment}
        className="w-full"
      />
      {voice.spoken ? <p className="whitespace-pre-line text-[14px]">{COMMON.named(voice.spoken)}</p> : null}
    </div>
  );
}
