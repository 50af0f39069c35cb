-- A photo that waited on a device is kept once, however often it is sent; one that was taken away leaves a line of it.
alter table photo add column token uuid;
alter table photo add column removed_at timestamp(9) with time zone;
alter table photo add column removed_by varchar(40);
alter table photo add column removed_reason varchar(200);
create unique index photo_by_token on photo(trial_id, token);
