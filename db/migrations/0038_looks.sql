-- How a timeline looks, what its labels say, and what of it a single category or event has otherwise.
alter table timeline add column look text not null default 'slate';
alter table timeline add column paper text not null default '';
alter table timeline add column texture text not null default '';
alter table timeline add column back_strength integer not null default 20;
alter table timeline add column back_fit text not null default 'fill';
alter table timeline add column line_weight integer not null default 0;
alter table timeline add column label_dates text not null default 'always';
alter table timeline add column label_titles text not null default 'always';
alter table category add column loudness integer not null default 0;
alter table event add column colour text not null default '';
alter table event add column line_weight integer not null default 0;
alter table event add column label_says jsonb;
alter table item add column tones jsonb;
alter table media add column tones jsonb;
alter table item drop constraint item_list_known;
alter table item add constraint item_list_known check (list in ('media', 'source', 'link', 'map', 'back'));
