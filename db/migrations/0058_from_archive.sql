-- What comes back out of an archive keeps its frozen versions to the letter, since receipts are hashes of them: a version calls its media
-- by the names they had where it was made. "called" is that name.
alter table version_media disable trigger version_media_is_frozen;
alter table version_media add column called text;
update version_media set called = media_id;
alter table version_media alter column called set not null;
alter table version_media drop constraint version_media_pkey;
alter table version_media add primary key (version_id, called);
alter table version_media enable trigger version_media_is_frozen;

-- A class that came out of an archive says so: what was handed in and marked before is what the archive told.
alter table class add column from_archive_at timestamptz;
