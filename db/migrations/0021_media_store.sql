-- The bytes of a file may be kept outside of the database: each says where, so that both are read while they are being moved.
alter table blob add column store text not null default 'database',
  add constraint blob_store_known check (store in ('database', 's3'));
create index blob_store on blob (store);
-- What may lie in the outside store without a row that names it: written down before it is put there, and when its row goes.
create table blob_loose (
  hash text primary key,
  at timestamptz not null default now()
);
