-- What goes into a trial's brews, as it was written.
create table brew_recipe (
    trial_id        bigint       not null primary key references trial(id) on delete cascade,
    recipe          varchar(4000) not null
);

-- Visits to brews: what was measured, how it smelled, what was decided.
create table brew_log (
    trial_id        bigint       not null references trial(id) on delete cascade,
    number          integer      not null,
    unit_code       varchar(5)   not null,
    at_time         timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    temperature     double precision,
    oxygen          double precision,
    ph              double precision,
    ec              double precision,
    foam            double precision,
    smell           varchar(10),
    decision        varchar(10),
    reason          varchar(200) not null,
    token           uuid         not null unique,
    primary key (trial_id, number)
);
create index brew_log_done on brew_log(decision, at_time);

-- What laboratories call their columns, told once.
create table brew_column (
    header          varchar_ignorecase(120) not null primary key,
    what            varchar(40)  not null
);
