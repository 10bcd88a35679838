-- JSON as it was frozen, also where an old text holds what jsonb cannot: a NUL, or half of a surrogate pair.
create function as_json(text) returns jsonb language plpgsql immutable strict as $$
begin
  return $1::jsonb;
exception when others then
  return regexp_replace($1, '\\u(0000|[dD][89a-fA-F][0-9a-fA-F]{2})', '', 'g')::jsonb;
end $$;

-- What is worked out from a whole timeline is kept by the number of its last change, so that lists never compute it again.
alter table timeline add column log_bytes bigint not null default 0;
update timeline t set log_bytes = coalesce((select sum(octet_length(c.ops::text) + octet_length(c.was::text)) from change c where c.timeline_id = t.id), 0);

create table thumbnail (
  timeline_id text primary key references timeline (id) on delete cascade,
  seq integer not null,
  build text not null,
  -- Null: it cannot be drawn.
  svg text
);

create table check_result (
  timeline_id text primary key references timeline (id) on delete cascade,
  seq integer not null,
  -- The requirements they were checked by.
  requirements jsonb not null,
  checks jsonb not null
);

-- What lists show of a published timeline, so that no list reads whole versions.
alter table publication
  add column title text not null default '',
  add column byline text not null default '',
  add column events integer not null default 0,
  add column published_at timestamptz not null default now();
update publication p set
  title = coalesce(as_json(v.json) ->> 'title', ''),
  byline = coalesce(as_json(v.json) ->> 'byline', ''),
  events = jsonb_array_length(as_json(v.json) -> 'events'),
  published_at = v.created_at
from version v where v.id = p.version_id;
create index publication_listed on publication (published_at desc) where visibility = 'everybody' and taken_back_at is null;
