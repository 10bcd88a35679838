-- Classes, what is set for them, what comes in, and how it was marked.
create table class (
  id text primary key,
  name text not null,
  teacher_id text not null references account,
  join_code text,
  -- How far its students may publish what they make for it.
  publish_limit text not null default 'link',
  created_at timestamptz not null default now(),
  constraint class_name_length check (length(name) between 1 and 80),
  constraint class_publish_limit_known check (publish_limit in ('only_me', 'class', 'link', 'everybody'))
);
create unique index class_join_code_unique on class (upper(join_code));
create index class_teacher on class (teacher_id);

create table class_member (
  class_id text not null references class on delete cascade,
  account_id text not null references account on delete cascade,
  joined_at timestamptz not null default now(),
  primary key (class_id, account_id)
);
create index class_member_account on class_member (account_id);

-- A code a teacher hands out when a password is lost; it works once, and is kept as a hash.
create table one_time_code (
  account_id text primary key references account on delete cascade,
  code_hash bytea not null,
  expires_at timestamptz not null
);

create table assignment (
  id text primary key,
  class_id text not null references class,
  title text not null,
  instructions text not null,
  period jsonb not null,
  requirements jsonb not null,
  total int not null,
  due_at timestamptz not null,
  created_at timestamptz not null default now(),
  constraint assignment_title_length check (length(title) between 1 and 200),
  constraint assignment_total_positive check (total between 1 and 1000)
);
create index assignment_class on assignment (class_id);

-- Events the teacher supplies. The right date is in this table only, until the work is returned.
create table given_event (
  id text primary key,
  assignment_id text not null references assignment,
  place int not null,
  title text not null,
  right_when jsonb not null,
  -- Dated and locked, or for the students to date.
  locked boolean not null
);
create index given_event_assignment on given_event (assignment_id);

-- Who begins an assignment makes a group; its members are the editors of its timeline.
create table group_work (
  id text primary key,
  assignment_id text not null references assignment,
  timeline_id text not null references timeline,
  created_at timestamptz not null default now(),
  constraint group_work_timeline_unique unique (timeline_id)
);
create index group_work_assignment on group_work (assignment_id);

-- Frozen with everything it was judged by: requirements, right dates and the drawing. Only taking back, and the mark
-- (in its own table), come after.
create table submission (
  id text primary key,
  group_id text not null references group_work,
  version_id text not null references version,
  submitted_by text not null references account,
  submitted_at timestamptz not null default now(),
  due_at timestamptz not null,
  content text not null,
  hash text not null,
  taken_back_at timestamptz
);
create index submission_group on submission (group_id);

create function refuse_submission_alteration() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' or new.content <> old.content or new.hash <> old.hash or new.version_id <> old.version_id
    or new.submitted_at <> old.submitted_at or new.due_at <> old.due_at then
    raise exception 'a submission is never altered';
  end if;
  return new;
end $$;
create trigger submission_is_frozen before update or delete on submission
  for each row execute function refuse_submission_alteration();

create table mark (
  submission_id text primary key references submission,
  points numeric,
  comment text not null default '',
  returned_at timestamptz
);
create table event_comment (
  submission_id text not null references submission,
  event_id text not null,
  text text not null,
  primary key (submission_id, event_id)
);

-- A frozen, dated copy by its own link, independent of publishing and of any class.
create table frozen_copy (
  address text primary key,
  timeline_id text not null references timeline,
  version_id text not null references version,
  created_by text not null references account,
  created_at timestamptz not null default now(),
  closed_at timestamptz
);
create index frozen_copy_timeline on frozen_copy (timeline_id);

-- By-lines are empty until chosen. A given event cannot be deleted; a locked one keeps title and date.
alter table timeline add column byline text not null default '';
alter table event add column given text;
alter table event add column locked boolean not null default false;
alter table publication drop constraint publication_visibility_known;
alter table publication add constraint publication_visibility_known check (visibility in ('only_me', 'class', 'link', 'everybody'));
