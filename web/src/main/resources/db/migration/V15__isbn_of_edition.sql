-- An ISBN names one edition of a title, a paperback or an ebook (ISBN Users' Manual, International ISBN Agency): it moves there.
alter table edition add column isbn varchar(13);
alter table edition add column isbn_typed varchar(200) default '' not null;
update edition set
  isbn = (select b.isbn from book b where b.id = edition.book_id),
  isbn_typed = (select b.isbn_typed from book b where b.id = edition.book_id);
alter table book drop column isbn;
alter table book drop column isbn_typed;

-- what was changed before is taken back where it stands now
update facts_change set
  before_change = replace(before_change, '"book.isbn', '"edition.isbn'),
  after_change = replace(after_change, '"book.isbn', '"edition.isbn');
