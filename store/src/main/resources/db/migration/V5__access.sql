-- Who may come in, who is in, and what was done about it.
alter table account add column disabled boolean not null default false;

-- A sign-in that is open until it ends by itself or is ended; known by the hash of what its cookie says.
create table session (
  key text primary key not null,
  who text not null,
  address text not null,
  begun_at bigint not null,
  ends_at bigint not null
);

create index session_who on session (who);

-- What was done about access: only ever added to.
create table access_line (
  id integer primary key autoincrement not null,
  at bigint not null,
  by_whom text not null,
  act text not null,
  about text not null,
  words text not null
);

create trigger access_line_stays_as_written before update on access_line
begin
  select raise(abort, 'a line of the access log is never changed');
end;

create trigger access_line_stays before delete on access_line
begin
  select raise(abort, 'a line of the access log is never deleted');
end;

-- Wrong passwords; the latest are kept.
create table failed_sign_in (
  id integer primary key autoincrement not null,
  at bigint not null,
  name text not null,
  address text not null
);

-- Everybody who saved some edition of a draft, apart by spaces: none of them is the second person who checks it.
alter table revision add column authors text;
update revision set authors = drafted_by where published_at is null;

-- Photos on their way: whose they are and since when, so that what never arrives can be taken away.
alter table photo add column sent_by text not null default 'unknown';
alter table photo add column begun_at bigint not null default 0;
create index photo_on_its_way on photo (flight_id) where jpeg is null;

-- What records are signed with; never changed or forgotten.
create table seal_key (
  public_key text primary key not null,
  private_key text not null,
  made_at bigint not null
);

create trigger seal_key_stays_as_made before update on seal_key
begin
  select raise(abort, 'a key is never changed');
end;

create trigger seal_key_stays before delete on seal_key
begin
  select raise(abort, 'a key is never forgotten');
end;

-- A fleet that was withdrawn is in force no more; its text stays.
alter table fleet_text add column withdrawn_at bigint;

-- Files of log lines and readings that came in. A row of one counts once all of them are here and until it is withdrawn: so
-- it comes in a few rows at a time, no crew's press waits for it, and what a killed server left half way never counts.
create table brought_in (
  number integer primary key autoincrement not null,
  what text not null,
  who text not null,
  at bigint not null,
  tails text not null,
  rows integer not null,
  entries bigint not null, -- of all departures of those tails, when it came in
  whole boolean not null default false,
  withdrawn_at bigint
);

alter table reading add column brought_in integer;
alter table tech_line add column brought_in integer;
drop index tech_line_raised_once;
create unique index tech_line_raised_once on tech_line (defect, coalesce(brought_in, 0)) where act = 'raised';
create index tech_line_defect on tech_line (defect);
