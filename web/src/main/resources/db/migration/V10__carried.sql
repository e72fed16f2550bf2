-- Where a cover was carried from: the origin's revision it was carried from, and its own first that came of it.
create table carried (
  edition_id bigint primary key,
  origin_id bigint not null,
  origin_revision integer not null,
  revision integer not null,
  made timestamp with time zone not null,
  constraint carried_edition foreign key (edition_id) references edition (id),
  constraint carried_origin foreign key (origin_id) references edition (id)
);
create index carried_from on carried (origin_id);
