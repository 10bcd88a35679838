-- A source is a record of its timeline that any number of events name, with the page and the words that are meant.
create table source (
  timeline_id text not null references timeline (id) on delete cascade,
  id text not null,
  kind text not null default 'line',
  title text not null default '',
  authors jsonb not null default '[]',
  within text not null default '',
  volume text not null default '',
  issue text not null default '',
  pages text not null default '',
  publisher text not null default '',
  place text not null default '',
  date jsonb not null,
  address text not null default '',
  looked_up text not null default '',
  call_number text not null default '',
  rest jsonb not null default '{}',
  deleted boolean not null default false,
  deleted_at timestamptz,
  purged boolean not null default false,
  primary key (timeline_id, id)
);
alter table item
  add column source text,
  add column page text not null default '',
  add column quote text not null default '';
-- How the list of sources is written.
alter table timeline add column source_manner text not null default 'apa';
