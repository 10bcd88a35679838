-- What stands under a picture, for everybody to read, beside what says in words what it shows.
alter table item add column caption text not null default '';
-- How large pictures and type are on the chart, where the author holds it.
alter table timeline add column pictures text not null default 'large',
  add column type_size integer,
  add constraint timeline_pictures_known check (pictures in ('large', 'small', 'none')),
  add constraint timeline_type_size check (type_size between 12 and 22);
