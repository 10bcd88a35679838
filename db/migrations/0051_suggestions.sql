-- A change that waits to be accepted: what somebody who does not edit would have an event be, or a new one ('' for the event).
create table suggestion (
  id text primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  event_id text not null default '',
  account_id text not null references account (id),
  -- When, title, text and category as they were seen, and as they are suggested: what is alike in both is not suggested.
  was jsonb not null,
  given jsonb not null,
  why text not null default '',
  at timestamptz not null default now()
);
create index suggestion_timeline on suggestion (timeline_id, at);
create index suggestion_account on suggestion (account_id);
