-- Water and feed that units were given between looks.
create table given (
    trial_id        bigint       not null references trial(id),
    number          integer      not null,
    kind            varchar(12)  not null,
    what            varchar(60)  not null,
    happened_at     timestamp(9) with time zone not null,
    station         varchar(30)  not null,
    withdrawn_at    timestamp(9) with time zone,
    entry_token     uuid         not null unique,
    primary key (trial_id, number)
);

create table given_unit (
    trial_id        bigint       not null,
    given           integer      not null,
    unit_code       varchar(5)   not null,
    millilitres     double precision not null,
    primary key (trial_id, given, unit_code),
    foreign key (trial_id, given) references given(trial_id, number),
    foreign key (trial_id, unit_code) references experimental_unit(trial_id, code)
);

-- What Today, the week and the calendar show: every event of a plan, not chores only.
alter table digest_chore add column kind varchar(12) default 'STEP' not null;
alter table digest_chore add column minutes integer default 0 not null;
alter table digest_chore add column title varchar(60) default '' not null;
alter table digest_chore add column prepare varchar(200) default '' not null;
alter table digest_chore add column done boolean default false not null;
delete from digest_chore;
delete from digest;

-- Photos of units, made smaller and without where they were taken.
create table photo (
    id              bigint generated always as identity primary key,
    trial_id        bigint       not null references trial(id),
    unit_code       varchar(5)   not null,
    look            integer      not null,
    taken_at        timestamp(9) with time zone not null,
    station         varchar(30)  not null,
    width           integer      not null,
    height          integer      not null,
    jpeg            blob         not null,
    foreign key (trial_id, unit_code) references experimental_unit(trial_id, code)
);
create index photo_by_unit on photo(trial_id, unit_code, look);

-- Meters as they were checked in their solutions.
create table meter_check (
    id              bigint generated always as identity primary key,
    kind            varchar(4)   not null,
    station         varchar(30)  not null,
    checked_at      timestamp(9) with time zone not null,
    grade           varchar(8)   not null,
    slope_percent   double precision not null,
    off             double precision not null
);
create index meter_check_by_station on meter_check(station, kind, checked_at);

-- Keys by which scripts of one's own send readings; only a digest of each is kept.
create table intake_key (
    id              bigint generated always as identity primary key,
    station         varchar(30)  not null,
    digest          varchar(64)  not null unique,
    made_at         timestamp(9) with time zone not null,
    used_at         timestamp(9) with time zone,
    withdrawn_at    timestamp(9) with time zone
);
