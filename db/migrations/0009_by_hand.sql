-- Where a label was placed by hand: px from its moment along the ridge, and from the ridge's middle across it.
alter table event add column spot jsonb;
