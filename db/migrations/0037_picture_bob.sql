-- The picture of an event stands on the chart in place of its bob.
alter table event add column picture_bob boolean not null default false;
