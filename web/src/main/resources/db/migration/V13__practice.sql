-- Practice benches are trials that no list of real work shows.
alter table trial add practice boolean default false not null;

-- The bench behind each: its level, how kind it is, and what was called at its end.
create table practice (
    trial_id        bigint       not null primary key references trial(id) on delete cascade,
    level           varchar(40)  not null,
    seed            bigint       not null,
    effect          double precision not null,
    scatter         double precision not null,
    gradient        double precision not null,
    drop_out        double precision not null,
    best            integer      default 0 not null,
    called          varchar(20),
    confidence      double precision,
    told_in_reruns  double precision,
    called_at       timestamp(9) with time zone
);
