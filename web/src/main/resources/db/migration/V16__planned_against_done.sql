-- How far each planned step is done: for how many units of how many, and until when it can still be.
alter table digest_chore drop column done;
alter table digest_chore add column chore varchar(12) default 'OTHER' not null;
alter table digest_chore add column closes_at timestamp(9) with time zone;
alter table digest_chore add column units_done integer default 0 not null;
alter table digest_chore add column units_of integer default 0 not null;
delete from digest_chore;
delete from digest;
