-- The day that times alone belong to, so that "5:40 Hives opened" is enough; a `When` like the period, null where it was not said.
alter table timeline add column times_on jsonb;
