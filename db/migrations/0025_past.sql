-- A timeline as it was after every few hundred changes, so that any earlier state is near one: replayed from the log, never
-- trusted over it, and thrown away when the log is altered (purging).
create table past_state (
  timeline_id text not null references timeline on delete cascade,
  seq int not null,
  -- The meaning of `packed`: raised when it changes, so that earlier ones are made anew.
  format int not null,
  packed bytea not null,
  primary key (timeline_id, seq)
);
-- Counts how often the log was altered: what was replayed before that is not kept.
alter table timeline add column log_epoch int not null default 0;
