-- What may be inoperative or missing on a type; the newest text of a type holds.
create table dispatch_list (
  id integer primary key autoincrement not null,
  type text not null,
  revision text not null,
  sha256 text not null,
  content text not null,
  brought_in_by text not null,
  brought_in_at bigint not null
);

-- Technical logs, a line a row: only ever added to.
create table tech_line (
  id integer primary key autoincrement not null,
  tail text not null,
  defect text not null,
  at bigint not null,
  who text not null,
  name text not null,
  act text not null,
  flight text,
  place text,
  step text,
  entry text,
  count integer,
  last_day text,
  words text not null
);

create index tech_line_tail on tech_line (tail, id);
create unique index tech_line_raised_once on tech_line (defect) where act = 'raised';

create trigger tech_line_stays_as_written before update on tech_line
begin
  select raise(abort, 'a line of a technical log is never changed');
end;

create trigger tech_line_stays before delete on tech_line
begin
  select raise(abort, 'a line of a technical log is never deleted');
end;

create table reading (
  id integer primary key autoincrement not null,
  tail text not null,
  quantity text not null,
  at bigint not null,
  landings double not null,
  hours double not null,
  value double not null
);

create index reading_tail on reading (tail, quantity, at);

create table photo (
  id text primary key not null,
  flight_id text not null references flight (id),
  sha256 text not null,
  total integer not null,
  jpeg blob
);

create table photo_part (
  photo_id text not null references photo (id) on delete cascade,
  from_byte integer not null,
  size integer not null,
  bytes blob not null,
  primary key (photo_id, from_byte)
);
