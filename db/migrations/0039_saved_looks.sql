-- Looks that are kept for other timelines: by whom, and for which class besides.
create table saved_look (
  id text primary key,
  account_id text not null references account (id) on delete cascade,
  class_id text references class (id) on delete cascade,
  name text not null,
  look jsonb not null,
  created_at timestamptz not null default now()
);
create index saved_look_account on saved_look (account_id);
create index saved_look_class on saved_look (class_id);
