-- Jobs are begun from their own table; the table of the library that was used before goes.
drop table scheduled_tasks;
