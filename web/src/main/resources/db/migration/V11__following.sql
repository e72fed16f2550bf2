-- What of a carried cover is compared with another revision of its origin than the rest: lines of a key, a tab and the revision; 0 for what is never offered again.
alter table carried add column bases varchar(100000) default '' not null;
