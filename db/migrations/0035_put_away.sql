-- Media that whoever uploaded it has deleted, and that is kept only for the frozen versions that show it.
alter table media add column put_away boolean not null default false;
