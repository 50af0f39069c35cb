-- Endpoints that are not read at a look because they do not apply there, with the reason why.
create table skip (
    trial_id        bigint       not null references trial(id),
    look            integer      not null,
    endpoint        varchar(40)  not null,
    reason          varchar(120) not null,
    skipped_at      timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    primary key (trial_id, look, endpoint)
);
