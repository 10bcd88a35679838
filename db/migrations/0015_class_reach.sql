-- A timeline that is no work of a class can be given to one by its teacher.
alter table publication add column class_id text references class (id);

-- What a publication comes to: no further than the class it was made in lets it, whatever was chosen before that was lowered.
create view shown_publication as
select p.timeline_id, p.address, p.version_id, p.taken_back_at, p.title, p.byline, p.events, p.published_at,
  p.visibility as chosen,
  (array['only_me', 'class', 'link', 'everybody'])[least(
    array_position(array['only_me', 'class', 'link', 'everybody'], p.visibility),
    array_position(array['only_me', 'class', 'link', 'everybody'], coalesce(c.publish_limit, 'everybody')))] as visibility,
  coalesce(c.id, p.class_id) as class_id
from publication p
left join group_work g on g.timeline_id = p.timeline_id
left join assignment a on a.id = g.assignment_id
left join class c on c.id = a.class_id;
