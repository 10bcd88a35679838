"use client";

import { WORDS } from "@/core/words/editor-share";
import { HowItGoes } from "@/ui/controls/how-it-goes";
import { Modal } from "@/ui/controls/modal";
import { useEditorState } from "../store/editor-context";
import { CallSection } from "./call-section";
import { EmbedSection } from "./embed-section";
import { FrozenCopies } from "./frozen-copies";
import { LinkSection } from "./link-section";
import { type Given, PublishSection } from "./publish-section";
import { Sections } from "./sections";
import { Together } from "./together";
import { useOwner } from "./use-publishing";

/** Publishing, handing the link on, embedding, and inviting others to work on the timeline. */
export function ShareDialog({
  open,
  onOpenChange,
  given,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  given: Given;
}) {
  const publication = useEditorState((s) => s.publication);
  const owner = useOwner();
  const live = publication !== null && !publication.takenBack;
  return (
    <Modal title={WORDS.share} open={open} onOpenChange={onOpenChange} wide>
      <HowItGoes task="publish" className="mb-2" />
      <Sections>
        <PublishSection {...given} />
        {live ? <LinkSection publication={publication} owner={owner} /> : null}
        {live ? <EmbedSection publication={publication} owner={owner} /> : null}
        <Together owner={owner} />
        <CallSection owner={owner} />
        <FrozenCopies />
      </Sections>
    </Modal>
  );
}
