-- A school: its teachers and their administrators, the classes that belong to it, how far its pupils publish, and what is published to it.
alter table organisation
  -- Nothing that is made in one of its classes goes further than this.
  add column publish_limit text not null default 'everybody';
alter table organisation add constraint organisation_publish_limit_known
  check (publish_limit in ('only_me', 'class', 'school', 'link', 'everybody'));
alter table organisation_member add column joined_at timestamptz not null default clock_timestamp();

-- Somebody without an account who is to teach there: a letter with this link went to them.
create table organisation_invitation (
  token text primary key,
  organisation_id text not null references organisation (id) on delete cascade,
  email text not null,
  role text not null,
  invited_by text not null references account (id),
  at timestamptz not null default now(),
  constraint organisation_invitation_role_known check (role in ('administrator', 'teacher'))
);
create unique index organisation_invitation_email on organisation_invitation (organisation_id, lower(email));

alter table class drop constraint class_publish_limit_known;
alter table class add constraint class_publish_limit_known
  check (publish_limit in ('only_me', 'class', 'school', 'link', 'everybody'));
alter table class drop constraint class_organisation_id_fkey;
alter table class add constraint class_organisation_id_fkey
  foreign key (organisation_id) references organisation (id) on delete set null;
create index class_organisation on class (organisation_id) where organisation_id is not null;
alter table publication drop constraint publication_visibility_known;
alter table publication add constraint publication_visibility_known
  check (visibility in ('only_me', 'class', 'school', 'password', 'link', 'everybody'));
-- A teacher's own timeline, given to their school.
alter table publication add column organisation_id text references organisation (id) on delete set null;
create index publication_organisation on publication (organisation_id) where organisation_id is not null;

-- Whether somebody is of a school: teaches there, or is taught in one of its classes whose year goes on.
create function of_school(school text, account text) returns boolean language sql stable as $$
  select exists (select from organisation_member m where m.organisation_id = school and m.account_id = account)
    or exists (
      select from class c where c.organisation_id = school and c.closed_at is null and c.archived_at is null
        and (watches(c.id, account) or exists (select from class_member m where m.class_id = c.id and m.account_id = account)))
$$;

-- How far something is seen, in the order of who sees it, the fewest first.
create function reach(visibility text) returns integer language sql immutable as $$
  select array_position(array['only_me', 'class', 'school', 'password', 'link', 'everybody'], visibility)
$$;

-- What a publication comes to: no further than its class and the school of its class let it, whatever was chosen before; to a school
-- that its class no longer belongs to, it is the class's.
create or replace view shown_publication as
  select p.timeline_id, p.address, p.version_id, p.taken_back_at, p.title, p.byline, p.events, p.published_at,
    p.visibility as chosen,
    case when coalesce(c.organisation_id, p.organisation_id) is null and w.visibility = 'school'
      then case when c.id is null then 'only_me' else 'class' end else w.visibility end as visibility,
    coalesce(c.id, p.class_id) as class_id,
    p.zone,
    p.opens_at, p.closes_at, p.hidden_at, p.copies, p.embed_sites, p.subject, p.pictures, p.opened,
    -- Who may see it sees it now.
    (p.taken_back_at is null and p.hidden_at is null and (p.opens_at is null or p.opens_at <= now())
      and (p.closes_at is null or p.closes_at > now())) as open,
    (select s.word from short_link s where s.timeline_id = p.timeline_id order by s.made_at desc limit 1) as word,
    case when c.id is null then p.organisation_id else c.organisation_id end as organisation_id
  from publication p
  left join group_work g on g.timeline_id = p.timeline_id
  left join assignment a on a.id = g.assignment_id
  left join class c on c.id = a.class_id
  left join organisation o on o.id = c.organisation_id
  cross join lateral (
    select (array['only_me', 'class', 'school', 'password', 'link', 'everybody'])[least(
      reach(p.visibility), reach(coalesce(c.publish_limit, 'everybody')), reach(coalesce(o.publish_limit, 'everybody')))] as visibility
  ) w;
