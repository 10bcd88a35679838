-- Who may sign in. An e-mail address is optional: a student who joins a class will have a sign-in name only.
create table account (
  id text primary key,
  display_name text not null,
  email text,
  sign_in_name text,
  password_hash text not null,
  created_at timestamptz not null default now(),
  constraint account_display_name_length check (length(display_name) between 1 and 60),
  constraint account_has_a_way_in check (email is not null or sign_in_name is not null)
);
create unique index account_email_unique on account (lower(email));
create unique index account_sign_in_name_unique on account (lower(sign_in_name));

-- Only the hash of the token is kept: who reads this table cannot sign in with it.
create table session (
  token_hash bytea primary key,
  account_id text not null references account on delete cascade,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null
);
create index session_account on session (account_id);

-- Slows guessing by account, not by address: a whole school shares one.
create table sign_in_attempt (
  name text primary key,
  failures int not null,
  last_at timestamptz not null
);
