-- By what an event is known in the table, calendar or family file it was brought in from, so that the same file brought in again finds it.
alter table event add column origin text not null default '';
