-- A chapter is a row among the events, with a title and some text, which stands where its place in the order says.
alter table event add column chapter boolean not null default false;
-- What stands after all events, as the introduction stands before them.
alter table timeline add column closing bytea not null default '';
