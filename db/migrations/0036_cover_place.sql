-- Where the cover of a timeline stands on the page it begins with.
alter table timeline add column cover_place text not null default 'beside';
-- A map of one's own: a picture of the timeline, spots on it whose place on the earth is known, and where events stand on it.
alter table timeline add column map_ties jsonb not null default '[]';
alter table event add column on_map jsonb;
alter table item drop constraint item_list_known;
alter table item add constraint item_list_known check (list in ('media', 'source', 'link', 'map'));
