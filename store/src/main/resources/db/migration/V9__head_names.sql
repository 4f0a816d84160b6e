-- What other people's recorders call their columns.
create table head_names (
  name text primary key not null,
  content text not null,
  kept_by text not null,
  kept_at bigint not null
);
