-- What control checks measured, one number a row; most is the most or, of travel, the least that is allowed.
create table control_measure (
  id integer primary key autoincrement not null,
  tail text not null,
  at bigint not null,
  of_what text not null,
  quantity text not null,
  value double not null,
  most double not null,
  brought_in integer
);
create index control_measure_tail on control_measure (tail, at, id);
