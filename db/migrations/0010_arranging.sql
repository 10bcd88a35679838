-- Whether what is part of an event is drawn in a close-up ('' leaves it to the room there is); how much of it is done, in
-- percent; and for the timeline whether the chart says how long spans last, and shows today as a line.
alter table event
  add column close_up text not null default '' constraint event_close_up_known check (close_up in ('', 'open', 'closed')),
  add column done smallint constraint event_done_percent check (done between 0 and 100);
alter table timeline
  add column lengths boolean not null default false,
  add column today boolean not null default false;
