-- Tastings of a trial's produce: what is on the plates, how it is tasted, and from which seed codes and orders are drawn.
create table tasting (
    trial_id        bigint       not null references trial(id) on delete cascade,
    number          integer      not null,
    kind            varchar(12)  not null,
    samples         varchar(1000) not null,
    tasters         integer      not null,
    seed            bigint       not null,
    token           uuid         not null unique,
    begun_at        timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    revealed_at     timestamp(9) with time zone,
    primary key (trial_id, number)
);

-- One answer of a taster about one plate, by its place on the tray from 0.
create table tasting_answer (
    trial_id        bigint       not null,
    number          integer      not null,
    taster          integer      not null,
    place           integer      not null,
    answer          double precision not null,
    answered_at     timestamp(9) with time zone not null,
    primary key (trial_id, number, taster, place),
    foreign key (trial_id, number) references tasting(trial_id, number) on delete cascade
);
