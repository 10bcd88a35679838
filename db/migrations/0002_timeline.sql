-- The present state of every timeline, altered only together with the change that alters it (0003).
create table timeline (
  id text primary key,
  title text not null default '',
  subject text not null default '',
  introduction bytea not null default '',
  period jsonb not null,
  scale text not null default 'balanced',
  date_order text,
  -- The number of the last confirmed change.
  seq int not null default 0,
  join_token text,
  created_at timestamptz not null default now(),
  altered_at timestamptz not null default now(),
  deleted_at timestamptz,
  constraint timeline_title_length check (length(title) <= 300),
  constraint timeline_scale_known check (scale in ('balanced', 'true', 'even')),
  constraint timeline_date_order_known check (date_order in ('dmy', 'mdy'))
);
create unique index timeline_join_token_unique on timeline (join_token);

create table editor (
  timeline_id text not null references timeline on delete cascade,
  account_id text not null references account on delete cascade,
  role text not null,
  joined_at timestamptz not null default now(),
  primary key (timeline_id, account_id),
  constraint editor_role_known check (role in ('owner', 'editor'))
);
create index editor_account on editor (account_id);

-- Deletion is a mark: edits to a deleted record are kept, and it can be put back.
create table category (
  timeline_id text not null references timeline on delete cascade,
  id text not null,
  name text not null,
  colour text not null,
  pattern text not null,
  place text not null,
  deleted boolean not null default false,
  primary key (timeline_id, id)
);

-- `when` holds what was typed beside what was understood: the type `date` cannot say "some time in the 1840s".
-- References to other records are not foreign keys: two people may delete and refer at once, and both are kept.
create table event (
  timeline_id text not null references timeline on delete cascade,
  id text not null,
  title text not null,
  short_title text not null,
  "when" jsonb not null,
  category text,
  part_of text,
  emphasis boolean not null,
  by_hand text not null,
  description bytea not null default '',
  deleted boolean not null default false,
  primary key (timeline_id, id),
  constraint event_title_length check (length(title) <= 300)
);

create table item (
  timeline_id text not null references timeline on delete cascade,
  id text not null,
  "of" text not null,
  list text not null,
  place text not null,
  media text,
  kind text,
  width int,
  height int,
  text text not null,
  credit text not null,
  licence text not null,
  address text not null,
  found_on text not null,
  deleted boolean not null default false,
  primary key (timeline_id, id),
  constraint item_list_known check (list in ('media', 'source', 'link'))
);
create index item_of on item (timeline_id, "of");
