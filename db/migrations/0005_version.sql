-- A timeline frozen: for publishing, as a frozen copy, as a submission. What is in it never changes.
create table version (
  id text primary key,
  timeline_id text not null references timeline,
  number int not null,
  -- The last change it holds.
  seq int not null,
  purpose text not null,
  format int not null,
  json text not null,
  hash text not null,
  created_by text not null references account,
  created_at timestamptz not null default now(),
  constraint version_number_unique unique (timeline_id, number),
  constraint version_purpose_known check (purpose in ('publication', 'frozen_copy', 'submission'))
);
-- Without "on delete": a media file that a version shows cannot be collected.
create table version_media (
  version_id text not null references version,
  media_id text not null references media,
  primary key (version_id, media_id)
);
create index version_media_media on version_media (media_id);

create function refuse_alteration() returns trigger language plpgsql as $$
begin
  raise exception 'a frozen version is never altered';
end $$;
create trigger version_is_frozen before update or delete on version
  for each row execute function refuse_alteration();
create trigger version_media_is_frozen before update or delete on version_media
  for each row execute function refuse_alteration();

create table publication (
  timeline_id text primary key references timeline,
  address text not null,
  visibility text not null,
  version_id text not null references version,
  taken_back_at timestamptz,
  constraint publication_address_unique unique (address),
  constraint publication_visibility_known check (visibility in ('only_me', 'link', 'everybody'))
);

-- The page of a version, rendered once a build.
create table page (
  version_id text not null references version,
  build text not null,
  html text not null,
  policy text not null,
  etag text not null,
  primary key (version_id, build)
);
