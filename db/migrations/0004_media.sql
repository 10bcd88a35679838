-- Files by content, in pieces of 1 MiB, so that a range of a video is read without the rest.
create table blob (
  hash text primary key,
  size bigint not null,
  type text not null
);
create table blob_piece (
  hash text not null references blob on delete cascade,
  n int not null,
  bytes bytea not null,
  primary key (hash, n)
);

-- What was uploaded to a timeline. Never altered: a new file is a new row.
create table media (
  id text primary key,
  timeline_id text not null references timeline on delete cascade,
  kind text not null,
  name text not null,
  width int,
  height int,
  created_by text not null references account,
  created_at timestamptz not null default now(),
  constraint media_kind_known check (kind in ('picture', 'video', 'sound'))
);
create index media_timeline on media (timeline_id);
create table media_file (
  media_id text not null references media on delete cascade,
  size text not null,
  hash text not null references blob,
  width int,
  height int,
  primary key (media_id, size)
);
create index media_file_hash on media_file (hash);

-- An upload under way: it can be taken up again where it broke off.
create table upload (
  id text primary key,
  timeline_id text not null references timeline on delete cascade,
  account_id text not null references account,
  name text not null,
  size bigint not null,
  media_id text references media on delete cascade,
  created_at timestamptz not null default now()
);
create table upload_piece (
  upload_id text not null references upload on delete cascade,
  n int not null,
  bytes bytea not null,
  primary key (upload_id, n)
);
