-- What may stand as by-line on what is made in a class: as its authors like, or nobody's name.
alter table class add column bylines text not null default 'free';
alter table class add constraint class_bylines_known check (bylines in ('free', 'no_names'));
-- Classes that are made from now on keep names within the class until their teacher says otherwise.
alter table class alter column bylines set default 'no_names';
