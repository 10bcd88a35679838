-- A practice can be due, as an assignment is.
alter table practice add column due_at timestamptz;
