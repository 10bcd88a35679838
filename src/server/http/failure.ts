import "server-only";

/** Everything that may go wrong as expected, with its status and its sentence: what happened, what was kept, what to do. */
export const FAILURES = {
  invalid: [400, "This could not be read, and nothing was changed. Reload the page and try again."],
  bad_json: [400, "The request broke off or was not understood; nothing was changed. Try again."],
  too_large: [413, "This is larger than fits, and nothing was changed."],
  bad_characters: [
    400,
    "A text holds control characters that cannot be stored, and nothing was changed. Take them out, or type it anew.",
  ],
  bad_address: [400, "This address is not one of Fastigo's: it holds characters no address has. Nothing was changed."],
  too_much: [413, "That is more than fits."],
  too_slow: [
    503,
    "This takes the server too long, and it was stopped. What was saved before is kept. Make the timeline smaller, and try again in a few minutes.",
  ],
  busy: [503, "Very many people ask for this at once. Nothing was lost; try again in a moment."],
  cannot_draw: [
    500,
    "This timeline cannot be drawn, and that is a fault of ours. Its events are kept, and can be opened in the editor.",
  ],
  disk_full: [
    507,
    "The server's disk is full, so nothing can be saved just now. What you typed is kept in this browser and sent again; tell whoever runs this server.",
  ],
  no_database: [
    503,
    "Fastigo does not reach its data just now. What you typed is kept in this browser; try again in a minute.",
  ],
  other_origin: [403, "This request came from another web site and was refused."],
  sign_in_first: [401, "Sign in first. What you typed is kept in this browser."],
  not_found: [404, "There is nothing here that you may see. Ask its owner for a link, or sign in as somebody else."],
  owner_only: [403, "Only the owner of the timeline can do this. Nothing was changed."],
  change_taken: [
    409,
    "A change with this number exists already with other content. Yours is kept in this browser; reload to go on.",
  ],
  email_taken: [409, "There is an account with this e-mail address. Sign in instead, or use another address."],
  display_name_missing: [400, "Type a display name of 1 to 60 characters. It need not be your real name."],
  email_malformed: [400, "This is not an e-mail address. It looks like name@school.example."],
  password_short: [
    400,
    "A password needs at least 8 characters. Several words are easy to remember and hard to guess.",
  ],
  password_long: [400, "A password may have at most 200 characters."],
  wrong_password: [401, "No account has this name and password. Check both and try again."],
  slow_down: [429, "Too many wrong passwords for this account. Wait a moment before the next try."],
  too_often: [429, "This was tried very often just now. Nothing was lost; wait a minute before the next try."],
  password_common: [
    400,
    "This password is one of those that are tried first. Take another: three or four words that do not belong together, for instance.",
  ],
  password_same: [400, "The password must not be your name, address or class code. Take another."],
  wrong_own_password: [403, "Your present password is not this one. Nothing was changed."],
  quota_timeline: [413, "The pictures, videos and sounds of this timeline fill the room there is for one."],
  quota_person: [413, "Your pictures, videos and sounds fill the room there is for one person."],
  video_boxes: [
    415,
    "This video is cut into more parts than Fastigo reads. Save it again, as MP4 or WebM, with another program.",
  ],
  upload_busy: [409, "This file is being put together already. Wait a moment, then ask again."],
  removed_before: [
    403,
    "The owner has taken you out of this timeline; the old link does not let you in again. Ask for a new one.",
  ],
  due_out_of_range: [400, "The due time must lie between the years 2000 and 2200. The assignment was not made."],
  title_long: [400, "A title holds 300 characters. Nothing was saved; shorten it and try again."],
  text_long: [400, "One of the texts is longer than fits. It was not saved and is still where you typed it."],
  description_large: [413, "This description has grown too large. What was saved before is kept; shorten it to go on."],
  not_an_update: [400, "The description could not be merged. It is kept in this browser; reload to go on."],
  no_such_media: [400, "This picture or file does not belong to this timeline. Add it again from its file."],
  file_empty: [400, "This file is empty. Choose another."],
  file_kind: [
    415,
    "This is not a picture, video or sound Fastigo can show, whatever its name says. Use JPEG, PNG, WebP, GIF, MP4, WebM, MP3, M4A, OGG or WAV.",
  ],
  picture_large: [413, "A picture may have at most 20 MB. Save it smaller and add it again."],
  picture_pixels: [413, "This picture has more than 100 million pixels. Save it smaller and add it again."],
  picture_broken: [415, "This picture is damaged and cannot be opened. Save it again from where it came from."],
  video_large: [413, "A video or sound may have at most 200 MB. Save it shorter or smaller and add it again."],
  piece_missing: [409, "Part of the file has not arrived. What arrived is kept: send the rest."],
  piece_size: [
    400,
    "This part of the file has the wrong size, because the request was cut off. What arrived before is kept: send it again.",
  ],
  address_malformed: [400, "This is not a web address. It begins with https:// or http://."],
  address_private: [
    400,
    "This address leads into a private network and is not fetched. Save the picture and add it as a file.",
  ],
  address_unreachable: [502, "Nothing answered at this address. Save the picture and add it as a file."],
  address_no_picture: [
    415,
    "What is at this address is not a picture. Open the picture itself, copy its address, or add it as a file.",
  ],
  address_large: [413, "What is at this address is larger than 20 MB. Save it smaller and add it as a file."],
  address_slow: [
    504,
    "The address did not answer completely within 15 seconds. Save the picture and add it as a file.",
  ],
  invitation_ended: [404, "This invitation has been closed or renewed. Ask for a new link."],
  nothing_to_publish: [400, "There is nothing to publish yet. Write a title or an event first."],
  beyond_class_limit: [
    403,
    "Your class lets work for it be published only so far. Choose fewer readers, or ask your teacher.",
  ],
  not_your_class: [
    403,
    "Only the teacher of a class can give it a timeline that was not made in it. Choose other readers.",
  ],
  class_name_missing: [400, "Type a name for the class, of 1 to 80 characters."],
  no_such_zone: [400, "There is no time zone of this name. Choose one from the list; nothing was changed."],
  in_use_elsewhere: [
    409,
    "This timeline belongs to an assignment already. Choose another, or begin anew; nothing was changed.",
  ],
  not_yours_alone: [403, "Only the owner of a timeline can use it for an assignment. Nothing was changed."],
  not_to_improve: [
    409,
    "This was handed in already. It can be handed in again once your teacher gives it back to improve.",
  ],
  no_such_code: [404, "No class has this code now. Check it, or ask your teacher for the new one."],
  code_over: [401, "This code is wrong, used, or over. Ask your teacher for a new one."],
  assignment_incomplete: [400, "The assignment is not complete and was not made."],
  in_a_group: [409, "You have begun this assignment already. Open it from your timelines."],
  handed_in_and_deleted: [
    409,
    "You have handed this in and deleted the timeline afterwards. What was handed in is with your teacher; put the timeline back within 30 days to go on with it.",
  ],
  not_a_classmate: [404, "Only somebody of the same class, who has not begun this assignment elsewhere, can join."],
  nothing_to_submit: [400, "There is nothing to submit yet. Write an event first."],
  submitted_already: [409, "This has been submitted already. Before it is due you can take it back and submit again."],
  too_late_to_take_back: [
    409,
    "It is past the due time, or the work has been returned: it can no longer be taken back.",
  ],
  points_out_of_range: [400, "The points must lie between 0 and the total of the assignment. Nothing was saved."],
  returned_needs_points: [
    409,
    "This has been returned with points, so it needs points. Give others instead; nothing of this was saved yet.",
  ],
  reason_missing: [400, "Say in a word why it counts otherwise; the group reads it. Nothing was changed."],
  not_marked_yet: [409, "It has no points yet. Give a mark, then return it."],
  broken: [
    500,
    "Something went wrong here, not with you. What you typed is kept in this browser; try again in a moment.",
  ],
} as const satisfies Record<string, readonly [number, string]>;

export type FailureCode = keyof typeof FAILURES;

/** What an action answers when it does not do what was asked, for a reason that is expected. */
export interface Failure {
  failed: FailureCode;
  /** Further facts for the sentence, such as how long to wait. */
  detail?: string;
}

/** An expected failure that takes a transaction back: thrown within it, given by `refusal` after it. */
export class Refused extends Error {
  readonly failure: Failure;
  constructor(failure: Failure) {
    super(failure.failed);
    this.failure = failure;
  }
}

/** The failure a transaction was taken back with; anything else is thrown on. */
export function refusal(error: unknown): Failure {
  if (error instanceof Refused) return error.failure;
  throw error;
}

export function fail(failed: FailureCode, detail?: string): Failure {
  return detail === undefined ? { failed } : { failed, detail };
}

export function isFailure(value: unknown): value is Failure {
  return typeof value === "object" && value !== null && "failed" in value;
}

export function sentenceOf(f: Failure): string {
  return f.detail ? `${FAILURES[f.failed][1]} ${f.detail}` : FAILURES[f.failed][1];
}
