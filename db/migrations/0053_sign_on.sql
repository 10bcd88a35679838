-- Signing on through a school's own accounts (OpenID Connect). A provider is known by its issuer and client id.
-- A sign-on that is under way.
create table sign_on_login (
  state text primary key,
  provider text not null,
  nonce text not null,
  verifier text not null,
  -- Where it leads afterwards, a path.
  leads_to text not null,
  at timestamptz not null default now()
);
-- Who somebody of a provider is here.
create table sign_on_account (
  provider text not null,
  subject text not null,
  account_id text not null references account (id),
  primary key (provider, subject)
);
create index sign_on_account_account on sign_on_account (account_id);
-- Somebody has come whose address an account has already: it waits for that account's password.
create table sign_on_claim (
  id text primary key,
  provider text not null,
  subject text not null,
  claims jsonb not null,
  id_token text not null,
  account_id text not null references account (id),
  leads_to text not null,
  at timestamptz not null default now()
);
create index sign_on_claim_account on sign_on_claim (account_id);
-- Which class a group of a provider is.
create table sign_on_group (
  provider text not null,
  name text not null,
  class_id text not null references class (id) on delete cascade,
  primary key (provider, name)
);
create index sign_on_group_class on sign_on_group (class_id);
-- How a session was opened: provider, subject, the provider's own session, and the token that ends it there.
alter table session add column sign_on jsonb;
create index session_sign_on on session ((sign_on ->> 'provider'), (sign_on ->> 'subject')) where sign_on is not null;
-- A school asks that its people come in by this provider alone; its administrators may always use their password. Null: by any way.
alter table organisation add column sign_on_provider text;
