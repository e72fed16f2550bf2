-- The design that a cover has because its facts changed: for which design and which facts somebody composed it last (JSON of the edition's facts by column).
create table refitted (
  edition_id bigint primary key,
  base_revision integer not null,
  base_facts varchar(20000) not null,
  revision integer not null,
  made timestamp with time zone not null,
  constraint refitted_edition foreign key (edition_id) references edition (id)
);
-- What of a report somebody has looked at and let stand: lines of a piece, a tab and what became of it.
alter table carried add column accepted varchar(200000) default '' not null;
-- What is never offered again is -1 from now on: 0 is the revision of a cover that nobody has composed.
update carried set bases = regexp_replace(bases, '\t0(?=\n|$)', concat(char(9), '-1'));
