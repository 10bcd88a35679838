-- The chart: a sign for single events; lines, marks of one's own and what a reader sees first for the whole timeline.
alter table event add column sign text not null default '';
alter table event add constraint event_sign_short check (length(sign) <= 20);
alter table timeline add column gridlines boolean not null default false;
alter table timeline add column marks jsonb;
alter table timeline add column first_view text not null default '';
alter table timeline add constraint timeline_first_view_short check (length(first_view) <= 200);
