-- Who teaches a class is a table, so that there can be several; the first of them made it.
drop index class_teacher;
create table class_teacher (
  class_id text not null references class (id) on delete cascade,
  account_id text not null references account (id),
  joined_at timestamptz not null default now(),
  primary key (class_id, account_id)
);
create index class_teacher_account on class_teacher (account_id);
insert into class_teacher (class_id, account_id, joined_at) select id, teacher_id, created_at from class;
alter table class drop column teacher_id;

-- A school, its people, and the classes that are its own.
create table organisation (
  id text primary key,
  name text not null,
  created_at timestamptz not null default now(),
  constraint organisation_name_length check (length(name) between 1 and 120)
);
create table organisation_member (
  organisation_id text not null references organisation (id) on delete cascade,
  account_id text not null references account (id) on delete cascade,
  role text not null,
  primary key (organisation_id, account_id),
  constraint organisation_role_known check (role in ('administrator', 'teacher'))
);
alter table class add column organisation_id text references organisation (id);

-- Asked in nearly every query of a class; the planner writes it out where it stands.
create function teaches(class_id text, account_id text) returns boolean language sql stable as $$
  select exists (select from class_teacher t where t.class_id = $1 and t.account_id = $2)
$$;
