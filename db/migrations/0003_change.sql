-- Every edit, with the values it replaced; numbered without gaps within a timeline.
create table change (
  timeline_id text not null references timeline on delete cascade,
  seq int not null,
  id text not null,
  author_id text not null references account,
  base int not null,
  ops jsonb not null,
  -- One entry a step: the value before, or why the step had no effect.
  was jsonb not null,
  -- SHA-256 of author, base and steps: the same id with other content is refused.
  digest bytea not null,
  at timestamptz not null default now(),
  primary key (timeline_id, seq),
  constraint change_id_unique unique (timeline_id, id)
);
