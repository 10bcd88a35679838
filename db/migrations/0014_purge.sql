-- Submissions are kept for as long as their class says, then destroyed whole; names stand beside what is hashed.
alter table class
  add column retention_months integer not null default 24,
  add column closed_at timestamptz,
  add constraint class_retention_months check (retention_months between 1 and 120);
alter table submission add column members text[] not null default '{}';
-- Deleted for good: what it held is gone from its row and from the log.
alter table event add column purged boolean not null default false;
alter table category add column purged boolean not null default false;
alter table item add column purged boolean not null default false;
alter table event add column deleted_at timestamptz;
alter table category add column deleted_at timestamptz;
alter table item add column deleted_at timestamptz;
update event set deleted_at = now() where deleted;
update category set deleted_at = now() where deleted;
update item set deleted_at = now() where deleted;

-- Only the purge, which says so within its own transaction, may remove what is frozen; nobody may alter it.
create or replace function refuse_alteration() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' and current_setting('fastigo.purge', true) = 'on' then
    return old;
  end if;
  raise exception 'a frozen version is never altered';
end $$;
create or replace function refuse_submission_alteration() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' then
    if current_setting('fastigo.purge', true) = 'on' then
      return old;
    end if;
    raise exception 'a submission is never altered';
  end if;
  if new.content <> old.content or new.hash <> old.hash or new.version_id <> old.version_id
    or new.submitted_at <> old.submitted_at or new.due_at <> old.due_at then
    raise exception 'a submission is never altered';
  end if;
  return new;
end $$;
update submission set members = (select coalesce(array_agg(m), '{}') from jsonb_array_elements_text(as_json(content) -> 'members') m)
where as_json(content) ? 'members';
