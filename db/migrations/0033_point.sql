-- Where on the earth an event happened: latitude and longitude, degrees.
alter table event add column point jsonb;
