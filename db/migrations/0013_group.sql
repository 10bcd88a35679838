-- One group an assignment and person, kept by the database.
create table group_member (
  assignment_id text not null references assignment (id),
  account_id text not null references account (id) on delete cascade,
  group_id text not null references group_work (id) on delete cascade,
  primary key (assignment_id, account_id)
);
create index group_member_group on group_member (group_id);
insert into group_member (assignment_id, account_id, group_id)
select g.assignment_id, e.account_id, g.id
from group_work g join editor e on e.timeline_id = g.timeline_id join timeline t on t.id = g.timeline_id
where t.deleted_at is null
order by g.created_at
on conflict do nothing;

-- Whom the owner has taken out; the link they had does not let them in again.
create table removed_editor (
  timeline_id text not null references timeline (id) on delete cascade,
  account_id text not null references account (id) on delete cascade,
  at timestamptz not null default now(),
  primary key (timeline_id, account_id)
);
