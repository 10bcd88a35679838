-- What a teacher says of a given date instead of what was worked out, with the reason; beside the frozen submission, not in it.
create table given_mark (
  submission_id text not null references submission (id) on delete cascade,
  n integer not null,
  result text not null,
  reason text not null,
  primary key (submission_id, n),
  constraint given_mark_result_known check (result in ('right', 'less_exact', 'wrong', 'no_date')),
  constraint given_mark_reason_given check (length(reason) between 1 and 500)
);
