/** What is said of files on their way. */
export const WORDS = {
  pastedPicture: "pasted picture",
  stopped: "Stopped. Nothing was added.",
  eventGone: "The event it was for has been deleted meanwhile. Put the event back and add the file again.",
  onItsWay: (name: string) => `${name} on its way`,
  waiting: "waits for those before it",
  brokenOff: (percent: number) =>
    `Nobody answers. ${percent} % has arrived and is kept; it goes on from there when there is a network again.`,
  goOn: "Go on now",
  sendAnyway: "Send it all the same",
  leaveOut: "Leave it out",
  notEverywhere: (codec: string) =>
    `This is in ${codec}, which many browsers cannot play: readers would see and hear nothing. Save it as H.264 with another program, or set the camera to “most compatible”. Nothing has been sent yet.`,
  stop: "Stop",
  close: "Close",
  many: (n: number, percent: number) =>
    `${n === 1 ? "1 file" : `${n} files`} on ${n === 1 ? "its" : "their"} way, ${percent} %`,
  someFailed: (n: number) => `${n === 1 ? "1 file was" : `${n} files were`} not added`,
  someWait: (n: number) => `${n === 1 ? "1 file waits" : `${n} files wait`} for a network`,
  failedFor: (name: string, event: string) => `${name}, for ${event}`,
  untitled: "an event without a title",
  theTimeline: "the timeline",
  leave: "Files are still on their way.",
  show: "Show",
  filesOnTheirWay: "Files on their way",
} as const;
