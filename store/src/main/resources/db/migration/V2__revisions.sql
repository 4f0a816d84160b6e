-- Packs have a life of their own: draft, checked, published. Those brought in before were of a format no longer read.
create table revision (
  pack text not null,
  name text not null,
  content text not null,
  sha256 text not null,
  edition bigint not null,
  drafted_by text not null,
  drafted_at bigint not null,
  checked_by text,
  checked_at bigint,
  published_by text,
  published_at bigint,
  effective text,
  primary key (pack, name)
);

create trigger revision_stays_as_published before update on revision when old.published_at is not null
begin
  select raise(abort, 'a published revision is never changed');
end;

create trigger revision_stays before delete on revision when old.published_at is not null
begin
  select raise(abort, 'a published revision is never deleted');
end;

create table acknowledgement (
  pack text not null,
  name text not null,
  who text not null,
  acknowledged_at bigint not null,
  primary key (pack, name, who),
  foreign key (pack, name) references revision (pack, name)
);

-- What fleet standards answered to "this does not fit"; what was said stands in the log.
create table feedback_answer (
  event_id text primary key not null,
  words text not null,
  answered_by text not null,
  answered_at bigint not null
);

create index entry_feedback on entry (flight_id) where json_extract(json, '$.kind') = 'does-not-fit';

create table fleet_text (
  id integer primary key autoincrement not null,
  operator text not null,
  sha256 text not null,
  content text not null,
  brought_in_by text not null,
  brought_in_at bigint not null
);

insert into fleet_text (operator, sha256, content, brought_in_by, brought_in_at)
  select name, sha256, content, brought_in_by, brought_in_at from document where kind = 'FLEET' order by brought_in_at;

drop table document;
