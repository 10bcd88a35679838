-- When it was proven that an address is its account's: somebody opened a link that was sent there.
alter table account add column email_proven_at timestamptz;
update account set email_proven_at = now() where demo and email is not null;

-- Two-step codes (RFC 6238). The secret in Base32; `step_wanted` until the first code of it was typed; `step_last` is the last step of
-- time that was taken, so that no code is good twice.
alter table account add column step_secret text;
alter table account add column step_wanted text;
alter table account add column step_last bigint not null default 0;
-- Codes to write down, each good once, for when the device is lost.
create table step_spare (
  account_id text not null references account (id),
  code_hash bytea not null,
  primary key (account_id, code_hash)
);

-- A key that was sent to an address: it signs its account in, or proves that the address is theirs.
create table mail_key (
  token_hash bytea primary key,
  account_id text not null references account (id),
  purpose text not null constraint mail_key_purpose_known check (purpose in ('sign_in', 'address')),
  email text not null,
  expires_at timestamptz not null
);
create index mail_key_account on mail_key (account_id);

-- Letters that nobody sent but Fastigo itself, to the account they are for.
alter table mail add column house boolean not null default false;
-- Its link lets somebody in: nobody else may read it.
alter table mail add column holds_key boolean not null default false;
create index mail_holds_key on mail (at) where holds_key;
