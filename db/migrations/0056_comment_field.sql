-- Which field of its event a comment is about; '' for all of it.
alter table comment add column field text not null default ''
  constraint comment_field_known check (field in ('', 'when', 'title', 'category', 'place', 'description', 'media', 'source'));
