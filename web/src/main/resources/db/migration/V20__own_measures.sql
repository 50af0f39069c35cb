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
