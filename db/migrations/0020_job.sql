-- What is done outside of requests. graphile-worker keeps the order and does each once; this table says to people and to routes
-- what there is, how far it is, and whether somebody wants it stopped.
create table job (
  id bigint generated always as identity primary key,
  kind text not null,
  -- What it is done to. Of a kind, one waits for each.
  about text not null,
  input jsonb not null,
  state text not null default 'waiting',
  done integer not null default 0,
  -- How much there is to do; null while nobody knows.
  total integer,
  -- Why it failed, as a code that has a sentence.
  failed text,
  asked_by text references account (id) on delete set null,
  asked_at timestamptz not null default now(),
  begun_at timestamptz,
  ended_at timestamptz,
  stop boolean not null default false,
  constraint job_state_known check (state in ('waiting', 'running', 'done', 'failed', 'stopped'))
);
create unique index job_waiting on job (kind, about) where state = 'waiting';
create index job_about on job (kind, about, id desc);
create index job_ended on job (ended_at) where ended_at is not null;

-- Processes that do jobs. Each holds an advisory lock of its number as long as it lives, so that what a dead one had begun is
-- seen, and begun again, at once.
create table job_runner (
  id integer generated always as identity primary key,
  workers text[] not null default '{}',
  begun_at timestamptz not null default now()
);

-- Drawings of what was handed in: alone, and in small beside another. Made once and never altered.
create table submission_drawing (
  submission_id text not null references submission (id) on delete cascade,
  kind text not null,
  svg text not null,
  primary key (submission_id, kind),
  constraint submission_drawing_kind_known check (kind in ('alone', 'beside'))
);

-- What web addresses answered when they were asked last, whichever timeline names them.
create table address_check (
  address text primary key,
  state text not null,
  status integer,
  checked_at timestamptz not null default now(),
  constraint address_check_state_known check (state in ('answers', 'gone', 'refuses', 'silent', 'private'))
);
