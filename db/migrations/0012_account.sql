-- A password can be given anew by a code only in the class in which the account was made.
alter table account
  add column made_in_class text references class (id),
  add column deleted_at timestamptz,
  -- Made by the demo data, with a password that everybody knows.
  add column demo boolean not null default false,
  drop constraint account_has_a_way_in,
  add constraint account_has_a_way_in check (email is not null or sign_in_name is not null or deleted_at is not null);
update account a set made_in_class =
  (select m.class_id from class_member m where m.account_id = a.id order by m.joined_at, m.class_id limit 1)
where a.email is null;

-- What a person is told once: that somebody has given them a new password, for instance.
create table account_notice (
  id bigint generated always as identity primary key,
  account_id text not null references account (id) on delete cascade,
  text text not null,
  at timestamptz not null default now()
);
create index account_notice_account on account_notice (account_id);

-- Sessions are listed to their person, and can be ended one by one.
alter table session
  add column id text not null default replace(gen_random_uuid()::text, '-', ''),
  add column browser text not null default '',
  add column seen_at timestamptz not null default now();
create unique index session_id_unique on session (id);
create index session_expires on session (expires_at);

-- A browser that was signed in before: wrong passwords from elsewhere do not keep its owner out.
create table known_browser (
  token_hash bytea primary key,
  account_id text not null references account (id) on delete cascade,
  at timestamptz not null default now()
);
create index known_browser_account on known_browser (account_id);

-- How often something was tried of late: a level that runs down with time.
create table tried (
  name text primary key,
  level double precision not null,
  at timestamptz not null
);
update account set demo = true where email like '%@hollinbank.example';
