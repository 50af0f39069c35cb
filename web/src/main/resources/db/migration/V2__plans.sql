-- A trial begins as a plan that can change; its records are drawn from it when it starts.
alter table trial add column stage varchar(10) default 'STARTED' not null;
alter table trial add column blind boolean default false not null;

create table plan (
    trial_id    bigint primary key references trial(id),
    document    character varying(1000000) not null
);

-- What was changed after the start, and why. Never changed itself.
create table amendment (
    trial_id    bigint       not null references trial(id),
    number      integer      not null,
    happened_at timestamp(9) with time zone not null,
    station     varchar(30)  not null,
    reason      varchar(300) not null,
    changes     varchar(100000) not null,
    primary key (trial_id, number)
);

alter table bench add column length_cm double precision default 0 not null check (length_cm >= 0 and length_cm <= 10000);
alter table bench add column depth_cm double precision default 0 not null check (depth_cm >= 0 and depth_cm <= 10000);
alter table bench add column light_map varchar(20000) default '' not null;
alter table bench add column influences varchar(2000) default '' not null;
alter table bench add column guarded boolean default false not null;

-- A thousand units need codes of five characters.
alter table experimental_unit alter column code set data type varchar(5);
alter table reading alter column unit_code set data type varchar(5);
alter table mishap_unit alter column unit_code set data type varchar(5);

-- A look can measure all endpoints a plan has.
alter table look alter column endpoints set data type varchar(2000);
