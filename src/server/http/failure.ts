import "server-only";
import { FAILURES, type FailureCode } from "@/core/words/en/failures";

/** The HTTP status of each expected failure; its sentence is in the catalogue. */
const STATUS: Record<FailureCode, number> = {
  invalid: 400,
  bad_json: 400,
  too_large: 413,
  bad_characters: 400,
  bad_address: 400,
  too_much: 413,
  no_such_colleague: 400,
  student_here: 400,
  roster_name_missing: 400,
  groups_empty: 400,
  twice_in_groups: 400,
  extension_not_later: 400,
  no_such_time: 400,
  mark_needs_reason: 400,
  reply_empty: 400,
  question_empty: 400,
  rubric_name_missing: 400,
  comment_empty: 400,
  leads_already: 409,
  lead_stays: 409,
  year_over: 409,
  begun_meanwhile: 409,
  too_late_to_submit: 409,
  marked_meanwhile: 409,
  not_returned_yet: 409,
  lead_only: 403,
  groups_by_teacher: 403,
  works_alone: 403,
  assistants_comment: 403,
  roster_too_long: 413,
  questions_full: 413,
  rubrics_full: 413,
  comments_full: 413,
  owner_stays: 409,
  group_edits: 409,
  group_writes: 403,
  call_over: 410,
  call_full: 413,
  sender_missing: 400,
  event_gone: 409,
  nothing_suggested: 400,
  event_untitled: 400,
  not_of_class: 403,
  invitation_over: 410,
  end_is_past: 400,
  nobody_of_that_name: 404,
  several_of_that_name: 409,
  remark_empty: 400,
  remarks_full: 413,
  remark_gone: 409,
  no_such_platform: 400,
  bad_launch: 400,
  launch_over: 400,
  launch_elsewhere: 400,
  no_course: 400,
  course_not_opened: 409,
  platform_silent: 502,
  no_second_teacher: 409,
  marked_by_you: 409,
  too_few_to_review: 409,
  review_empty: 400,
  practice_small: 400,
  practices_full: 413,
  practice_incomplete: 400,
  looks_full: 413,
  teacher_only: 403,
  too_slow: 503,
  busy: 503,
  cannot_draw: 500,
  disk_full: 507,
  no_database: 503,
  other_origin: 403,
  sign_in_first: 401,
  not_found: 404,
  owner_only: 403,
  change_taken: 409,
  email_taken: 409,
  display_name_missing: 400,
  email_malformed: 400,
  password_short: 400,
  password_long: 400,
  wrong_password: 401,
  slow_down: 429,
  too_often: 429,
  password_common: 400,
  password_same: 400,
  wrong_own_password: 403,
  quota_timeline: 413,
  quota_person: 413,
  video_boxes: 415,
  upload_busy: 409,
  removed_before: 403,
  due_out_of_range: 400,
  folder_long: 400,
  title_long: 400,
  text_long: 400,
  description_large: 413,
  not_an_update: 400,
  no_such_media: 400,
  file_empty: 400,
  file_kind: 415,
  no_video: 415,
  picture_large: 413,
  picture_unread: 415,
  picture_pixels: 413,
  picture_broken: 415,
  video_large: 413,
  piece_missing: 409,
  piece_size: 400,
  address_malformed: 400,
  address_private: 400,
  address_unreachable: 502,
  address_no_picture: 415,
  address_no_table: 415,
  address_no_media: 415,
  embed_empty: 400,
  player_unread: 502,
  address_large: 413,
  address_slow: 504,
  invitation_ended: 404,
  nothing_to_publish: 400,
  beyond_class_limit: 403,
  not_your_class: 403,
  voice_unread: 415,
  account_of_their_own: 409,
  byline_names: 409,
  not_your_school: 403,
  administrators_only: 403,
  last_administrator: 409,
  school_name_missing: 400,
  school_needs_email: 409,
  class_name_missing: 400,
  no_such_zone: 400,
  in_use_elsewhere: 409,
  not_yours_alone: 403,
  not_to_improve: 409,
  no_such_code: 404,
  code_over: 401,
  assignment_incomplete: 400,
  in_a_group: 409,
  handed_in_and_deleted: 409,
  not_a_classmate: 404,
  nothing_to_submit: 400,
  submitted_already: 409,
  too_late_to_take_back: 409,
  points_out_of_range: 400,
  returned_needs_points: 409,
  reason_missing: 400,
  not_marked_yet: 409,
  no_store: 503,
  job_stopped: 409,
  page_password_missing: 400,
  wrong_page_password: 401,
  page_slow_down: 429,
  word_malformed: 400,
  word_taken: 409,
  words_full: 413,
  closes_before_it_opens: 400,
  site_malformed: 400,
  copies_not_allowed: 403,
  mail_malformed: 400,
  mail_needs_email: 403,
  report_empty: 400,
  operator_only: 404,
  broken: 500,
};

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
  return f.detail ? `${FAILURES[f.failed]} ${f.detail}` : FAILURES[f.failed];
}

export function statusOf(f: Failure): number {
  return STATUS[f.failed];
}
