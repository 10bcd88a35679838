/** All recorded voices of a page after each other, in the order of its events; the one that speaks is brought into view. */
export function listenToAll(): void {
  const button = document.querySelector<HTMLButtonElement>(".listen");
  const voices = [...document.querySelectorAll<HTMLAudioElement>("audio.voice")];
  if (!button) return;
  const listen = button.textContent ?? "";
  let at = -1;
  const stop = () => {
    const voice = voices[at];
    at = -1;
    button.textContent = listen;
    voice?.pause();
  };
  const play = (next: number) => {
    const voice = voices[next];
    if (!voice) return stop();
    at = next;
    button.textContent = button.dataset.stop ?? "";
    voice.currentTime = 0;
    voice.scrollIntoView({ block: "center" });
    voice.play().catch(stop);
  };
  for (const v of voices) {
    v.addEventListener("ended", () => {
      if (v === voices[at]) play(at + 1);
    });
    // Somebody stops it: then it is theirs to go on.
    v.addEventListener("pause", () => {
      if (v === voices[at] && !v.ended) stop();
    });
  }
  button.hidden = false;
  button.addEventListener("click", () => (at < 0 ? play(0) : stop()));
}
