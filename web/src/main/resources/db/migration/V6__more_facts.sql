-- What a book says of itself beyond title, author and blurb, the language it is in, and facts of the publisher's own.
alter table book add column series varchar(500) default '' not null;
alter table book add column series_number varchar(500) default '' not null;
alter table book add column quote varchar(20000) default '' not null;
alter table book add column about_author varchar(20000) default '' not null;
alter table book add column edition_words varchar(500) default '' not null;
alter table book add column published varchar(500) default '' not null;
alter table book add column language varchar(35) default 'en' not null;
alter table book add column own_facts varchar(20000) default '' not null;
