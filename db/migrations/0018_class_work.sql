-- Due times are the class's own, wherever somebody reads them.
alter table class add column zone text not null default 'UTC';
-- Two of one name are told apart by their teacher.
alter table class_member add column note text not null default '';
alter table class_member add constraint class_member_note_short check (length(note) <= 40);
-- Work that came back "to improve" is handed in again; what was handed in before stays beside it.
alter table mark add column to_improve boolean not null default false;
alter table submission add column replaced_by text references submission (id);
create index submission_replaced_by on submission (replaced_by);
create view current_submission as select * from submission where taken_back_at is null and replaced_by is null;
-- The day and time of publishing are its author's.
alter table publication add column zone text not null default 'UTC';
create or replace view shown_publication as
select p.timeline_id, p.address, p.version_id, p.taken_back_at, p.title, p.byline, p.events, p.published_at,
  p.visibility as chosen,
  (array['only_me', 'class', 'link', 'everybody'])[least(
    array_position(array['only_me', 'class', 'link', 'everybody'], p.visibility),
    array_position(array['only_me', 'class', 'link', 'everybody'], coalesce(c.publish_limit, 'everybody')))] as visibility,
  coalesce(c.id, p.class_id) as class_id,
  p.zone
from publication p
left join group_work g on g.timeline_id = p.timeline_id
left join assignment a on a.id = g.assignment_id
left join class c on c.id = a.class_id;
