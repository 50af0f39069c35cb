-- A photo that waited on a device is kept once, however often it is sent; one that was taken away leaves a line of it.
alter table photo add column token uuid;
alter table photo add column removed_at timestamp(9) with time zone;
alter table photo add column removed_by varchar(40);
alter table photo add column removed_reason varchar(200);
create unique index photo_by_token on photo(trial_id, token);

-- What was done for good beside readings: recipes corrected, ends taken back, codes told, phones handed on.
create table trial_event (
    trial_id        bigint       not null references trial(id) on delete cascade,
    number          integer      not null,
    kind            varchar(20)  not null,
    about           varchar(40)  not null,
    was             varchar(4000) not null,
    at_time         timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    reason          varchar(200) not null,
    token           uuid         not null unique,
    primary key (trial_id, number)
);
