-- Drills of one person. plan is what was drawn, as JSON; limits and found say where the staircase stands once it is
-- answered.
create table drill (
  id text primary key not null,
  who text not null,
  type text not null,
  task text not null,
  seed bigint not null,
  plan text not null,
  begun_at bigint not null,
  answered_at bigint,
  limits double,
  found integer
);
create index drill_who on drill (who, begun_at);

create table drill_answer (
  drill text not null references drill (id) on delete cascade,
  round integer not null,
  stopped_s double,
  shown_s double,
  passed integer not null,
  calls_right integer not null,
  calls_wrong integer not null,
  complete integer not null,
  took_s double not null,
  primary key (drill, round)
);

-- What the answers were answers to, worked out once: thousands of them make up one score.
create table drill_trial (
  drill text not null references drill (id) on delete cascade,
  number integer not null,
  round integer not null,
  kind text,
  surface text,
  size double not null,
  limits double not null,
  outcome text not null,
  reaction_s double,
  primary key (drill, number)
);
