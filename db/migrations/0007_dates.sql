-- How a timeline writes dates, whose seasons it means, and how wide its "about" is.
alter table timeline add column date_style jsonb;
alter table timeline add column hemisphere text not null default 'north';
alter table timeline add column margins jsonb;
alter table timeline add constraint timeline_hemisphere_known check (hemisphere in ('north', 'south'));
