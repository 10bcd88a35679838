-- A part of a picture is a picture of its own, made of the uploaded one, which stays: `made_of` says of which; an item's `cut` says which
-- part, so that it can be cut anew. `moving`: a picture has frames that follow each other.
alter table media add column made_of text references media (id) on delete set null;
create index media_made_of on media (made_of);
alter table item add column cut jsonb;
alter table item add column moving boolean not null default false;
