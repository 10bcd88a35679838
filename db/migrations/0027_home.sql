-- What a person calls the folder they keep a timeline in, "" for none; and the last change they have seen in its editor.
alter table editor
  add column folder text not null default '',
  add column seen int not null default 0;
-- What there is by now counts as seen.
update editor e set seen = t.seq from timeline t where t.id = e.timeline_id;
