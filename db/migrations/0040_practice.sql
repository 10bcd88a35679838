-- Practice a teacher gives to a class: cards with their dates as they were then, which no page holds; and what students made of it.
create table practice (
  id text primary key,
  class_id text not null references class (id) on delete cascade,
  timeline_id text references timeline (id) on delete set null,
  title text not null,
  cards jsonb not null,
  created_at timestamptz not null default now()
);
create index practice_class on practice (class_id);
create index practice_timeline on practice (timeline_id);
create table practice_result (
  id bigint generated always as identity primary key,
  practice_id text not null references practice (id) on delete cascade,
  account_id text not null references account (id) on delete cascade,
  placed jsonb not null,
  right_count integer not null,
  share double precision not null,
  at timestamptz not null default now()
);
create index practice_result_practice on practice_result (practice_id, account_id);
create index practice_result_account on practice_result (account_id);
