-- What money is in here, said once.
create table currency (
    only_row integer     primary key check (only_row = 1),
    sign     varchar(8)  not null
);
