-- Drawings and pages of PDFs that somebody brought: a drawing under the SHA-256 of its file, a page under that and its number.
create table placed_file (
  id varchar(80) primary key,
  name varchar(255) not null,
  facts varchar(100000) not null,
  bytes bigint not null,
  added timestamp with time zone not null
);
