-- Where an event happened, by name; words to find it by; and what its editors tell each other, which never leaves the editor.
alter table event
  add column place text not null default '',
  add column tags jsonb not null default '[]',
  add column note text not null default '';
-- The language a timeline is written in, as BCP 47 names it.
alter table timeline add column language text not null default 'en';
-- How a person likes the ledger: which columns, in which order, how wide. Null: as usual.
alter table account add column ledger_columns jsonb;
