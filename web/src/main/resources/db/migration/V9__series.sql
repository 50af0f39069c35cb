-- How the files of a source are read, so that the next one needs no looking at.
create table series_source (
    name            varchar(60)  primary key,
    headings        varchar(20000) not null,
    mapping         varchar(20000) not null
);

-- Files of sensors that were taken into a trial.
create table series_file (
    id              bigint generated always as identity primary key,
    trial_id        bigint       not null references trial(id),
    name            varchar(120) not null,
    source          varchar(60)  not null,
    digest          varchar(64)  not null,
    row_count       bigint       not null,
    taken_at        timestamp(9) with time zone not null,
    station         varchar(30)  not null
);
create index series_file_by_trial on series_file(trial_id);

-- A course of one thing measured: of a unit, or of the whole trial where unit_code is empty.
create table series (
    id              bigint generated always as identity primary key,
    trial_id        bigint       not null references trial(id),
    unit_code       varchar(5)   not null,
    what            varchar(12)  not null,
    depth_cm        double precision not null,
    unique (trial_id, unit_code, what, depth_cm)
);

-- Samples of a series in order of time, some thousand packed into a row: a million rows of a logger are some hundred here.
create table series_block (
    id              bigint generated always as identity primary key,
    trial_id        bigint       not null,
    series_id       bigint       not null references series(id),
    file_id         bigint       not null references series_file(id),
    first_at        bigint       not null,
    last_at         bigint       not null,
    samples         integer      not null,
    packed          varbinary(200000) not null
);
create index series_block_by_time on series_block(series_id, first_at);
create index series_block_by_file on series_block(file_id);
