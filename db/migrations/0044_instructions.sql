-- What is to be done is a formatted text, as descriptions are: blocks, with pictures of the assignment's own.
alter table assignment add column blocks jsonb not null default '[]';
update assignment set blocks = (
    select coalesce(jsonb_agg(jsonb_build_object('kind', 'paragraph', 'content', case when line = '' then '[]'::jsonb
      else jsonb_build_array(jsonb_build_object('kind', 'text', 'text', line, 'marks', '[]'::jsonb)) end) order by n), '[]')
    from regexp_split_to_table(instructions, '\r?\n') with ordinality as t (line, n))
  where instructions <> '';
alter table assignment drop column instructions;
alter table assignment rename column blocks to instructions;

create table assignment_picture (
  assignment_id text not null references assignment (id) on delete cascade,
  -- By which the text names it.
  id text not null,
  -- What is to be seen on it, for those who do not see it.
  text text not null,
  -- WebP, as small as a page needs it.
  bytes bytea not null,
  width integer not null,
  height integer not null,
  primary key (assignment_id, id)
);
