-- What was written in a line so far becomes such a record, one for all events that say the same, as one more change of its owner:
-- a replay of the log gives the same.
create temporary table source_line on commit drop as
select i.timeline_id, i.id as item, i.text, i.address, 'line-' || substr(md5(i.text || chr(10) || i.address), 1, 20) as source
from item i where i.list = 'source' and not i.deleted and not i.purged and (i.text <> '' or i.address <> '');

create temporary table source_step on commit drop as
select timeline_id, 1 as part, source as id, 0 as n,
  jsonb_build_object('kind', 'add_source', 'id', source, 'fields',
    jsonb_build_object('kind', 'line', 'title', text, 'address', address)) as op, 'null'::jsonb as was
from (select distinct timeline_id, source, text, address from source_line) s
union all
select l.timeline_id, 2, l.item, s.n, jsonb_build_object('kind', 'set_item', 'id', l.item, 'field', s.field, 'value', s.value),
  jsonb_build_object('value', s.before)
from source_line l cross join lateral (values
  (0, 'source', to_jsonb(l.source), 'null'::jsonb),
  (1, 'text', '""'::jsonb, to_jsonb(l.text)),
  (2, 'address', '""'::jsonb, to_jsonb(l.address))) s (n, field, value, before);

create temporary table source_change on commit drop as
select s.timeline_id, t.seq + 1 as seq, e.account_id as author_id,
  jsonb_agg(s.op order by s.part, s.id, s.n) as ops, jsonb_agg(s.was order by s.part, s.id, s.n) as was
from source_step s join timeline t on t.id = s.timeline_id
join editor e on e.timeline_id = t.id and e.role = 'owner'
-- What is left of one for the sake of a submission has no log any more.
where exists (select from change c where c.timeline_id = t.id)
group by s.timeline_id, t.seq, e.account_id;

insert into change (timeline_id, seq, id, author_id, base, ops, was, digest)
select timeline_id, seq, 'lines-to-sources', author_id, seq - 1, ops, was, sha256(convert_to(ops::text, 'UTF8')) from source_change;
insert into source (timeline_id, id, title, address, date)
select distinct l.timeline_id, l.source, l.text, l.address,
  '{"typed": "", "readAs": {"kind": "undated"}, "calendar": "gregorian", "margin": null}'::jsonb
from source_line l join source_change c on c.timeline_id = l.timeline_id;
update item i set source = l.source, text = '', address = ''
from source_line l join source_change c on c.timeline_id = l.timeline_id where i.timeline_id = l.timeline_id and i.id = l.item;
-- Whoever had seen all has seen this too.
update editor e set seen = c.seq from source_change c where e.timeline_id = c.timeline_id and e.seen = c.seq - 1;
update timeline t set seq = c.seq, log_bytes = t.log_bytes + octet_length(c.ops::text) + octet_length(c.was::text)
from source_change c where t.id = c.timeline_id;
