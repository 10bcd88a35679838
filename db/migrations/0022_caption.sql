-- What stands under a picture, for everybody to read, beside what says in words what it shows.
alter table item add column caption text not null default '';
