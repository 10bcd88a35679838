-- What somebody said that somebody else reported. Of work for a class its teachers are told; of anything else whoever keeps the site.
create table said_report (
  id text primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  kind text not null constraint said_report_kind_known check (kind in ('comment', 'suggestion', 'sent')),
  thing text not null,
  -- As it was said, and by whom: it may be altered or gone before somebody looks.
  text text not null,
  said_by text not null,
  reason text not null,
  words text not null,
  account_id text references account (id),
  at timestamptz not null default now(),
  decided_at timestamptz,
  unique (kind, thing, account_id)
);
create index said_report_timeline on said_report (timeline_id);
create index said_report_account on said_report (account_id);
create index said_report_waiting on said_report (at) where decided_at is null;
