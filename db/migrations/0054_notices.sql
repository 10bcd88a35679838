-- What a notice is about, where it is shown, and whether it goes by mail; kinds but 'account' are switched off by their person.
alter table account_notice add column kind text not null default 'account'
  constraint account_notice_kind_known check (kind in ('account', 'named', 'suggestion', 'class', 'school'));
alter table account_notice add column here boolean not null default true;
alter table account_notice add column by_mail boolean not null default false;
create index account_notice_mail on account_notice (account_id, at) where by_mail;
create table notice_choice (
  account_id text not null references account (id),
  kind text not null constraint notice_choice_kind_known check (kind in ('named', 'suggestion', 'class', 'school')),
  here boolean not null,
  by_mail boolean not null,
  primary key (account_id, kind)
);
-- When the last letter with notices went out.
alter table account add column digest_at timestamptz;

-- Whoever tells somebody something need not know what they want to be told, and how: nobody forgets it.
create function choose_notice() returns trigger language plpgsql as $$
declare
  chosen notice_choice;
begin
  select * into chosen from notice_choice c where c.account_id = new.account_id and c.kind = new.kind;
  new.here := new.kind = 'account' or coalesce(chosen.here, true);
  new.by_mail := coalesce(chosen.by_mail, true)
    and exists (select from account a where a.id = new.account_id and a.email is not null and a.email_proven_at is not null);
  if not new.here and not new.by_mail then
    return null;
  end if;
  return new;
end $$;
create trigger choose_notice before insert on account_notice for each row execute function choose_notice();
