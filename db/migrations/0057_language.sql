-- In which language a person is spoken to, on every device and in letters; null until they first sign in.
alter table account add column language text constraint account_language_known check (language in ('en', 'de', 'es'));
