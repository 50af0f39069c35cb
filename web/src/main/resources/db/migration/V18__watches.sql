-- Limits that are watched in a running trial: Today tells when one is passed.
create table watch (
    id              bigint generated always as identity primary key,
    trial_id        bigint       not null references trial(id),
    what            varchar(12)  not null,
    depth_cm        double precision not null,
    beyond          varchar(5)   not null,
    limit_value     double precision not null,
    set_at          timestamp(9) with time zone not null,
    station         varchar(40)  not null,
    unique (trial_id, what, depth_cm, beyond)
);
