-- A placed page is noted with the words, lines and pictures on it.
alter table placed_file alter column facts varchar(1000000) not null;
