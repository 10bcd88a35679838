-- Who may look at a timeline, comment on it, or add events of their own too, without editing it. Who edits stands in "editor".
create table guest (
  timeline_id text not null references timeline (id) on delete cascade,
  account_id text not null references account (id) on delete cascade,
  role text not null,
  joined_at timestamptz not null default now(),
  primary key (timeline_id, account_id),
  constraint guest_role_known check (role in ('reader', 'commenter', 'adder'))
);
create index guest_account on guest (account_id);

-- Links into a timeline: for whoever has one (one a role), or to somebody, by letter or by the account, taken up once.
create table invitation (
  token text primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  role text not null,
  email text,
  account_id text references account (id) on delete cascade,
  invited_by text not null references account (id) on delete cascade,
  made_at timestamptz not null default now(),
  ends_at timestamptz,
  constraint invitation_role_known check (role in ('reader', 'commenter', 'adder', 'editor'))
);
create unique index invitation_link on invitation (timeline_id, role) where email is null and account_id is null;
create unique index invitation_email on invitation (timeline_id, lower(email));
create unique index invitation_account on invitation (timeline_id, account_id);
create index invitation_for on invitation (account_id);
create index invitation_by on invitation (invited_by);

insert into invitation (token, timeline_id, role, invited_by)
select t.join_token, t.id, 'editor', e.account_id from timeline t join editor e on e.timeline_id = t.id and e.role = 'owner'
where t.join_token is not null and t.deleted_at is null;
drop index timeline_join_token_unique;
alter table timeline drop column join_token;

-- What is said about a timeline, beside it: about an event, some of its words, or ('' for the event) the whole.
create table comment (
  id text primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  event_id text not null default '',
  -- The words of the event it is about, as they were; '': about all of it.
  words text not null default '',
  -- The comment it answers; null: it begins a thread.
  thread text references comment (id) on delete cascade,
  account_id text not null references account (id),
  text text not null,
  at timestamptz not null default now(),
  altered_at timestamptz,
  resolved_at timestamptz,
  resolved_by text references account (id),
  constraint comment_not_empty check (text <> '')
);
create index comment_timeline on comment (timeline_id, event_id);
create index comment_thread on comment (thread);
create index comment_account on comment (account_id);

-- Until when a person has read the comments of a timeline.
create table comment_seen (
  timeline_id text not null references timeline (id) on delete cascade,
  account_id text not null references account (id) on delete cascade,
  at timestamptz not null,
  primary key (timeline_id, account_id)
);

-- Whose an event is that was added by somebody who edits those of their own only; null: its editors'.
alter table event add column author_id text references account (id);
create index event_author on event (author_id) where author_id is not null;
