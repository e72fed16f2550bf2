-- The pictures that are kept with a title, as JSON: by what right they are used, where from, whom to name; and how often that changed.
alter table book add column pictures varchar(1000000) default '[]' not null;
alter table book add column pictures_step bigint default 0 not null;
