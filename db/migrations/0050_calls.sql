-- Whoever has the link may send events in; they wait until somebody who edits the timeline has looked at them.
create table call_for_events (
  timeline_id text primary key references timeline (id) on delete cascade,
  token text not null unique,
  -- What is asked for, in its owner's words.
  words text not null default '',
  closes_at timestamptz,
  opened_at timestamptz not null default now()
);

-- Sent in and not decided yet; afterwards it is an event, or gone.
create table sent_event (
  id text primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  -- As whoever sent it wants to be called.
  name text not null,
  "when" text not null default '',
  title text not null,
  text text not null default '',
  at timestamptz not null default now()
);
create index sent_event_timeline on sent_event (timeline_id, at);
