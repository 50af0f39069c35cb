-- A score of injury is written with what was seen: "7 cupped, twisted".
alter table reading alter column typed_text set data type varchar(120);
-- Lots that are kept apart because they did harm. A lot is a name so far, as in mixes.
create table quarantine (
    id         bigint generated always as identity primary key,
    lot        varchar(60)  not null,
    reason     varchar(300) not null,
    since      timestamp(9) with time zone not null,
    station    varchar(30)  not null,
    gone_to    varchar(300) not null,
    trial_id   bigint,
    lifted_at  timestamp(9) with time zone,
    lifted_why varchar(300) not null
);
create index quarantine_lot on quarantine (lot);
