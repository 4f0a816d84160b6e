-- What figures rest on, as texts: only ever added to; the newest of its kind and type holds. No type: for all of them.
create table figures_text (
  id integer primary key autoincrement not null,
  kind text not null,
  type text not null,
  edition text not null,
  sha256 text not null,
  content text not null,
  brought_in_by text not null,
  brought_in_at bigint not null
);
create index figures_text_newest on figures_text (kind, type, id);
