-- Times are milliseconds since 1970-01-01T00:00Z.
create table account (
  id text primary key not null,
  name text not null,
  role text not null,
  password_hash text not null,
  must_change boolean not null
);

create table document (
  kind text not null,
  name text not null,
  revision text not null,
  sha256 text not null,
  content text not null,
  brought_in_by text not null,
  brought_in_at bigint not null,
  primary key (kind, name, revision)
);

create table flight (
  id text primary key not null,
  number text not null,
  tail text not null,
  from_airfield text not null,
  to_airfield text not null,
  departs_at bigint not null
);

create table rostered (
  flight_id text not null references flight (id) on delete cascade,
  seat text not null,
  who text not null,
  commander boolean not null,
  flying boolean not null,
  primary key (flight_id, seat)
);

-- The log: only ever added to.
create table entry (
  flight_id text not null references flight (id),
  number bigint not null,
  event_id text not null,
  hash text not null,
  json text not null,
  primary key (flight_id, number),
  unique (flight_id, event_id)
);

create trigger entry_stays_as_written before update on entry
begin
  select raise(abort, 'an entry is never changed');
end;

create trigger entry_stays before delete on entry
begin
  select raise(abort, 'an entry is never deleted');
end;

create table trace (
  flight_id text not null references flight (id),
  sha256 text not null,
  csv text not null,
  primary key (flight_id, sha256)
);

-- Secrets and settings the application makes for itself.
create table own_setting (
  name text primary key not null,
  content text not null
);
