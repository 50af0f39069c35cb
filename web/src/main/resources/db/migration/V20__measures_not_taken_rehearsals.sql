-- Measures of one's own, and whose gallons are meant where nobody says.
create table own_measure (
    word            varchar(30)  primary key,
    amount          double precision not null,
    unit            varchar(20)  not null,
    of_what         varchar(60)  not null
);

create table liquid_measures (
    only_row        integer      primary key check (only_row = 1),
    whose           varchar(10)  not null
);

-- What scripts sent and nobody could take, until it is taken or the list is cleared.
create table not_taken (
    id              bigint generated always as identity primary key,
    sent_at         timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    place           varchar(200) not null,
    typed           varchar(120) not null,
    taken_at        varchar(40)  not null,
    why             varchar(400) not null
);
create index not_taken_by_place on not_taken(place);

-- Plans rehearsed on a practice bench, and what was supposed of each.
create table rehearsal (
    trial_id        bigint       not null primary key references trial(id) on delete cascade,
    planned         bigint       not null,
    endpoint        varchar(60)  not null,
    truth           double precision not null,
    cv              double precision not null,
    seed            bigint       not null
);
