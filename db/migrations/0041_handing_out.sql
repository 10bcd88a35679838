-- Who may see what is published, from when until when, behind a password; short links; how often it was opened; what is found in it.
alter table publication drop constraint publication_visibility_known;
alter table publication add constraint publication_visibility_known
  check (visibility in ('only_me', 'class', 'password', 'link', 'everybody'));
alter table publication
  add column password_hash text,
  add column opens_at timestamptz,
  add column closes_at timestamptz,
  -- An operator keeps it out of sight, whatever its author chooses.
  add column hidden_at timestamptz,
  -- Whether others may begin a timeline of their own with it.
  add column copies boolean not null default false,
  -- The sites in whose pages it may stand in a frame, as origins; '*' for all.
  add column embed_sites text[] not null default '{}',
  -- What it is found by. Made with the version; null: not made yet.
  add column subject text not null default '',
  add column config regconfig,
  add column words tsvector,
  -- Days since 0000-01-01; without an upper bound it goes on.
  add column days int8range,
  add column pictures integer not null default 0,
  add column opened bigint not null default 0,
  add constraint publication_closes_after_it_opens check (closes_at is null or opens_at is null or closes_at > opens_at),
  add constraint publication_password_where_asked check (visibility <> 'password' or password_hash is not null);

-- The words a page can be reached by, the last the one that is shown; earlier ones lead there for ever, so that nothing printed breaks.
create table short_link (
  word text primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  made_at timestamptz not null default clock_timestamp(),
  constraint short_link_shape check (word ~ '^[a-z0-9]+(-[a-z0-9]+)*$' and length(word) between 3 and 40)
);
create index short_link_timeline on short_link (timeline_id, made_at desc);

-- Browsers that gave the password. They go when it is changed.
create table page_pass (
  token_hash bytea primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  made_at timestamptz not null default now()
);
create index page_pass_timeline on page_pass (timeline_id);

-- How often a published page was opened, a day; nothing about who.
create table opened_day (
  timeline_id text not null references timeline (id) on delete cascade,
  day date not null,
  count integer not null,
  primary key (timeline_id, day)
);

-- What readers say is wrong with a published page.
create table page_report (
  id bigint generated always as identity primary key,
  timeline_id text not null references timeline (id) on delete cascade,
  reason text not null,
  words text not null,
  at timestamptz not null default now(),
  decided_at timestamptz,
  constraint page_report_reason_known check (reason in ('harmful', 'private', 'copied', 'advertising', 'other'))
);
create index page_report_waiting on page_report (at) where decided_at is null;

-- Those who look at what is reported, and hide it.
alter table account add column operator boolean not null default false;

-- Whoever wants to leave has a week to change their mind.
alter table account add column delete_at timestamptz;
create index account_delete_at on account (delete_at) where delete_at is not null;

-- Where a timeline was copied from.
alter table timeline add column based_on jsonb;

-- Mail that goes out: kept until it is sent; where no server for it is set, this is the mailbox in which it is read.
create table mail (
  id bigint generated always as identity primary key,
  account_id text references account (id) on delete cascade,
  recipient text not null,
  subject text not null,
  body text not null,
  at timestamptz not null default now(),
  sent_at timestamptz,
  failed text
);
create index mail_account on mail (account_id, at desc);

create or replace view shown_publication as
  select p.timeline_id, p.address, p.version_id, p.taken_back_at, p.title, p.byline, p.events, p.published_at,
    p.visibility as chosen,
    (array['only_me', 'class', 'password', 'link', 'everybody'])[least(
      array_position(array['only_me', 'class', 'password', 'link', 'everybody'], p.visibility),
      array_position(array['only_me', 'class', 'password', 'link', 'everybody'], coalesce(c.publish_limit, 'everybody')))] as visibility,
    coalesce(c.id, p.class_id) as class_id,
    p.zone,
    p.opens_at, p.closes_at, p.hidden_at, p.copies, p.embed_sites, p.subject, p.pictures, p.opened,
    -- Who may see it sees it now.
    (p.taken_back_at is null and p.hidden_at is null and (p.opens_at is null or p.opens_at <= now())
      and (p.closes_at is null or p.closes_at > now())) as open,
    (select s.word from short_link s where s.timeline_id = p.timeline_id order by s.made_at desc limit 1) as word
  from publication p
  left join group_work g on g.timeline_id = p.timeline_id
  left join assignment a on a.id = g.assignment_id
  left join class c on c.id = a.class_id;

drop index publication_listed;
create index publication_listed on publication (published_at desc) where visibility = 'everybody' and taken_back_at is null;
create index publication_most_opened on publication (opened desc) where visibility = 'everybody' and taken_back_at is null;
create index publication_words on publication using gin (words) where visibility = 'everybody' and taken_back_at is null;
create index publication_days on publication using gist (days) where visibility = 'everybody' and taken_back_at is null;
create index publication_subject on publication (lower(subject), published_at desc) where visibility = 'everybody' and taken_back_at is null;
create index publication_unfound on publication (timeline_id) where words is null;

-- Files that were made for somebody by a job: printouts, pictures, folders. They are there for a day.
create table made_file (
  id text primary key,
  account_id text not null references account (id) on delete cascade,
  timeline_id text references timeline (id) on delete cascade,
  job_id bigint,
  name text not null,
  type text not null,
  size bigint not null default 0,
  notices jsonb not null default '[]',
  made_at timestamptz,
  at timestamptz not null default now()
);
create index made_file_account on made_file (account_id, at);
create table made_piece (
  file_id text not null references made_file (id) on delete cascade,
  n integer not null,
  bytes bytea not null,
  primary key (file_id, n)
);

-- How rare a word is has to be known to find the quick way to what holds it.
alter table publication alter column words set statistics 1000;
