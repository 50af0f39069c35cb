-- When all units were moved one place on within their blocks.
create table turn (
    trial_id        bigint       not null references trial(id),
    number          integer      not null,
    turned_at       timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    primary key (trial_id, number)
);

-- Units scored again by another station that did not see the first score.
create table second_score (
    trial_id        bigint       not null,
    unit_code       varchar(5)   not null,
    look            integer      not null,
    endpoint        varchar(40)  not null,
    station         varchar(40)  not null,
    score           double precision not null,
    scored_at       timestamp(9) with time zone not null,
    primary key (trial_id, unit_code, look, endpoint, station),
    foreign key (trial_id, unit_code) references experimental_unit(trial_id, code)
);

-- Samples sent to a laboratory, each with its slip.
create table lab_slip (
    trial_id        bigint       not null references trial(id),
    number          integer      not null,
    sent_at         timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    asked           varchar(200) not null,
    units           varchar(20000) not null,
    primary key (trial_id, number)
);

-- Light over a bench, measured again while a trial runs.
create table light_again (
    id              bigint generated always as identity primary key,
    trial_id        bigint       not null references trial(id),
    bench           integer      not null,
    measured_at     timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    grid            varchar(20000) not null
);
create index light_again_by_trial on light_again(trial_id, measured_at);
