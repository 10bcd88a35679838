-- Whether first words of descriptions stand under titles on the chart where there is room.
alter table timeline add column label_words text not null default 'room',
  add constraint timeline_label_words_known check (label_words in ('room', 'none'));
-- A label louder (1) or quieter (-1) than the others.
alter table event add column loudness integer not null default 0,
  add constraint event_loudness check (loudness between -1 and 1);
-- What of a picture is to be seen where it is cropped, percent of its width and height; null: its middle.
alter table item add column focus jsonb;
-- Drawings of submissions show pictures: those of before are drawn again.
delete from submission_drawing;
