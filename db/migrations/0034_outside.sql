-- Video and sound that stay at another site: the address of its player. Whether students of a class may play them here, and whether
-- they may use camera and microphone.
alter table item add column player text not null default '';
alter table class
  add column outside_players boolean not null default true,
  add column recording boolean not null default true;
