-- A comment on a submission that was spoken instead of written, with its words for those who cannot hear them.
create table mark_voice (
  submission_id text primary key references submission (id) on delete cascade,
  bytes bytea not null,
  type text not null,
  seconds real not null,
  spoken text not null,
  by_id text references account (id),
  at timestamptz not null default now()
);
