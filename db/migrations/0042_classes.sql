-- Classes through a school year: who leads, teaches and helps; what is set, and when it is due for whom; rubrics; marks and what became
-- of them; questions, and what pupils have looked at and set aside.

-- Whoever made a class leads it, and alone ends it. Teachers do all else; assistants see all and comment, and give no marks.
alter table class_teacher
  add column role text not null default 'teacher',
  add constraint class_teacher_role_known check (role in ('lead', 'teacher', 'assistant'));
update class_teacher t set role = 'lead'
where not exists (
  select from class_teacher o
  where o.class_id = t.class_id and (o.joined_at, o.account_id) < (t.joined_at, t.account_id));

create or replace function teaches(class_id text, account_id text) returns boolean language sql stable as $$
  select exists (select from class_teacher t where t.class_id = $1 and t.account_id = $2 and t.role <> 'assistant')
$$;
-- Whether somebody sees what is done in a class: its teachers and its assistants.
create function watches(class_id text, account_id text) returns boolean language sql stable as $$
  select exists (select from class_teacher t where t.class_id = $1 and t.account_id = $2)
$$;

-- By what a student is known in the school's own export; '' where they came otherwise.
alter table class_member add column roster_id text not null default '';

alter table class
  -- What the school says to what is kept of its students, in its own words.
  add column notice text not null default '',
  add constraint class_notice_length check (length(notice) <= 5000),
  -- A year that is over: nothing is set or handed in any more, all is still seen.
  add column archived_at timestamptz,
  -- The class of the year before, whose set-up it has.
  add column follows text references class (id) on delete set null;

alter table assignment
  add column late_rule text not null default 'accepted',
  add column grouping text not null default 'pupils',
  add column blind boolean not null default false,
  add column rubric jsonb,
  -- What is read beside the work: a title and a text each.
  add column texts jsonb not null default '[]',
  -- A timeline that shows how it may be done, and when its students see it.
  add column model text references timeline (id) on delete set null,
  add column model_shown text not null default 'never',
  -- Marks that are given back wait until then.
  add column return_at timestamptz,
  add constraint assignment_late_rule_known check (late_rule in ('accepted', 'refused')),
  add constraint assignment_grouping_known check (grouping in ('pupils', 'single', 'teacher')),
  add constraint assignment_model_shown_known check (model_shown in ('never', 'before', 'after'));
create index assignment_model on assignment (model) where model is not null;

-- More time for somebody.
create table extension (
  assignment_id text not null references assignment (id) on delete cascade,
  account_id text not null references account (id) on delete cascade,
  due_at timestamptz not null,
  primary key (assignment_id, account_id)
);

-- When an assignment is due for somebody, and for a group: the latest of what its members were given.
create function due_for(assignment_id text, account_id text) returns timestamptz language sql stable as $$
  select greatest(a.due_at, (select x.due_at from extension x where x.assignment_id = a.id and x.account_id = $2))
  from assignment a where a.id = $1
$$;
create function due_of_group(group_id text) returns timestamptz language sql stable as $$
  select greatest(a.due_at, (
    select max(x.due_at) from extension x join group_member m on m.account_id = x.account_id and m.assignment_id = x.assignment_id
    where m.group_id = g.id and x.assignment_id = a.id))
  from group_work g join assignment a on a.id = g.assignment_id where g.id = $1
$$;

-- Rubrics a teacher has kept to use again.
create table rubric (
  id text primary key,
  account_id text not null references account (id) on delete cascade,
  rubric jsonb not null,
  at timestamptz not null default now()
);
create index rubric_account on rubric (account_id, at);

alter table mark
  -- For each criterion of the rubric the level that was chosen, or null.
  add column levels jsonb not null default '[]',
  -- Grows with every save, so that two who mark at once do not write over each other.
  add column version integer not null default 0,
  -- Who gave the points, and who saved last: a comment of somebody else makes them no first marker.
  add column by_id text references account (id) on delete set null,
  add column saved_by text references account (id) on delete set null,
  add column at timestamptz not null default now(),
  -- Given back, but not before this.
  add column hold_until timestamptz;

-- What a mark was before it was changed after it had been given back, and why it was changed.
create table mark_before (
  submission_id text not null references submission (id) on delete cascade,
  n integer not null,
  points numeric,
  levels jsonb not null,
  comment text not null,
  by_id text references account (id) on delete set null,
  at timestamptz not null default now(),
  reason text not null,
  primary key (submission_id, n)
);

-- What a group answers to its mark, and its teacher to that.
create table mark_reply (
  id bigint generated always as identity primary key,
  submission_id text not null references submission (id) on delete cascade,
  account_id text references account (id) on delete set null,
  by_teacher boolean not null,
  text text not null,
  at timestamptz not null default now(),
  constraint mark_reply_length check (length(text) between 1 and 2000)
);
create index mark_reply_submission on mark_reply (submission_id, id);

-- Comments a teacher uses again.
create table kept_comment (
  id bigint generated always as identity primary key,
  account_id text not null references account (id) on delete cascade,
  text text not null,
  used integer not null default 0,
  constraint kept_comment_length check (length(text) between 1 and 1000),
  unique (account_id, text)
);

-- A group is stuck at an event, or as a whole ("" for the event), and asks.
create table question (
  id bigint generated always as identity primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  event_id text not null,
  account_id text references account (id) on delete set null,
  text text not null,
  at timestamptz not null default now(),
  answer text not null default '',
  answered_by text references account (id) on delete set null,
  answered_at timestamptz,
  constraint question_length check (length(text) between 1 and 2000)
);
create index question_timeline on question (timeline_id, id);

-- A finding of the ready check that was looked at and set aside, with the reason the teacher reads.
create table set_aside (
  timeline_id text not null references timeline (id) on delete cascade,
  finding text not null,
  reason text not null,
  account_id text references account (id) on delete set null,
  at timestamptz not null default now(),
  primary key (timeline_id, finding),
  constraint set_aside_length check (length(reason) between 1 and 500)
);

-- Wording that two works of an assignment share, or one shares with a text it was given or quotes, as it was when last looked for.
create table close_wording (
  assignment_id text primary key references assignment (id) on delete cascade,
  at timestamptz not null default now()
);
create table close_passage (
  assignment_id text not null references assignment (id) on delete cascade,
  timeline_id text not null references timeline (id) on delete cascade,
  -- "introduction" and "closing" for the two pages.
  event_id text not null,
  passage text not null,
  words integer not null,
  kind text not null,
  other_timeline text references timeline (id) on delete cascade,
  other_event text not null default '',
  other text not null,
  constraint close_passage_kind_known check (kind in ('classmate', 'text', 'quote'))
);
create index close_passage_timeline on close_passage (timeline_id);
create index close_passage_assignment on close_passage (assignment_id);

-- What of an assignment is shown to the whole class, in its order.
create table gallery (
  assignment_id text not null references assignment (id) on delete cascade,
  submission_id text not null references submission (id) on delete cascade,
  place integer not null,
  primary key (assignment_id, submission_id)
);
create index gallery_submission on gallery (submission_id);

-- Work of others that a student reads by the rubric; null for `done_at`: not yet.
create table peer_review (
  id text primary key,
  assignment_id text not null references assignment (id) on delete cascade,
  submission_id text not null references submission (id) on delete cascade,
  account_id text not null references account (id) on delete cascade,
  -- Neither sees whose the other is.
  blind boolean not null,
  levels jsonb not null default '[]',
  comment text not null default '',
  done_at timestamptz,
  unique (submission_id, account_id),
  constraint peer_review_comment_length check (length(comment) <= 4000)
);
create index peer_review_account on peer_review (account_id, assignment_id);
create index peer_review_assignment on peer_review (assignment_id);

-- Learning platforms (LTI 1.3): logins under way, each used once; who somebody is there, which class a course is, which assignment a link.
-- `platform` is the issuer and the client id, as they stand in the configuration.
create table lti_login (
  state text primary key,
  nonce text not null,
  platform text not null,
  at timestamptz not null default now()
);
create table lti_account (
  platform text not null,
  subject text not null,
  account_id text not null references account (id) on delete cascade,
  primary key (platform, subject)
);
create index lti_account_account on lti_account (account_id);
create table lti_course (
  platform text not null,
  context text not null,
  class_id text not null references class (id) on delete cascade,
  -- Where its people are asked for; '' where the platform does not tell.
  memberships text not null default '',
  primary key (platform, context)
);
create index lti_course_class on lti_course (class_id);
create table lti_link (
  platform text not null,
  link text not null,
  assignment_id text not null references assignment (id) on delete cascade,
  -- Where its points go; '' where the platform takes none.
  line_item text not null default '',
  primary key (platform, link)
);
create index lti_link_assignment on lti_link (assignment_id);
-- A choice under way: what a teacher links from the platform.
create table lti_choice (
  id text primary key,
  platform text not null,
  account_id text not null references account (id) on delete cascade,
  class_id text not null references class (id) on delete cascade,
  deployment text not null,
  return_url text not null,
  data text not null,
  at timestamptz not null default now()
);
-- The key Fastigo signs with; made when it is first needed.
create table lti_key (
  id text primary key,
  private_key jsonb not null,
  at timestamptz not null default now()
);

-- Works that a second teacher marks too, drawn by lot, and what they gave; the mark itself stays the first one's until it is changed.
create table moderation (
  submission_id text primary key references submission (id) on delete cascade,
  at timestamptz not null default now()
);
create table second_mark (
  submission_id text not null references submission (id) on delete cascade,
  account_id text not null references account (id) on delete cascade,
  points numeric not null,
  levels jsonb not null default '[]',
  comment text not null default '',
  at timestamptz not null default now(),
  primary key (submission_id, account_id),
  constraint second_mark_comment_length check (length(comment) <= 4000)
);
