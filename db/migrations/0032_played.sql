-- Video and sound: from which second to which they are played, how long they are, what is said in them, and whether it is a recorded voice.
alter table item
  add column start_at double precision,
  add column end_at double precision,
  add column length double precision,
  add column voice boolean not null default false,
  add column spoken text not null default '',
  add column subtitles text not null default '';
