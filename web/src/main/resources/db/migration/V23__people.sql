-- Who works here. As long as nobody stands here, whoever reaches this machine may do all.
create table person (
    id          bigint generated always as identity primary key,
    name        varchar_ignorecase(40) not null unique,
    role        varchar(8)   not null,
    password    varchar(200) not null,
    pin         varchar(200),
    pin_misses  integer      default 0 not null,
    added_at    timestamp(9) with time zone not null,
    left_at     timestamp(9) with time zone
);

-- A device somebody signed in on: who is at it now may be another, by a PIN.
create table sign_in (
    id          bigint generated always as identity primary key,
    digest      varchar(64)  not null unique,
    owner_id    bigint       not null references person(id),
    person_id   bigint       not null references person(id),
    owner       varchar(40)  not null,
    person      varchar(40)  not null,
    by_pin      boolean      default false not null,
    device      varchar(120) not null,
    begun_at    timestamp(9) with time zone not null,
    seen_at     timestamp(9) with time zone not null,
    ends_at     timestamp(9) with time zone not null,
    ended_at    timestamp(9) with time zone
);

create table invitation (
    id          bigint generated always as identity primary key,
    digest      varchar(64)  not null unique,
    role        varchar(8)   not null,
    made_by     varchar(40)  not null,
    made_at     timestamp(9) with time zone not null,
    ends_at     timestamp(9) with time zone not null,
    used_by     varchar(40),
    withdrawn_at timestamp(9) with time zone
);

-- A trial's report for whoever has the link.
create table shared_link (
    id          bigint generated always as identity primary key,
    digest      varchar(64)  not null unique,
    trial_id    bigint       not null references trial(id) on delete cascade,
    made_by     varchar(40)  not null,
    made_at     timestamp(9) with time zone not null,
    ends_at     timestamp(9) with time zone not null,
    withdrawn_at timestamp(9) with time zone
);

-- What was written, by whom: it only grows, and outlives what it tells of.
create table write_log (
    id          bigint generated always as identity primary key,
    at_time     timestamp(9) with time zone not null,
    person      varchar(40)  not null,
    station     varchar(40)  not null,
    trial_id    bigint,
    thing       varchar(40)  not null,
    did         varchar(8)   not null,
    was         varchar(20000) not null,
    becomes     varchar(20000) not null
);
create index write_log_by_trial on write_log(trial_id, id);
create trigger write_log_only_grows before update, delete on write_log for each row call 'elsom.web.people.OnlyGrows';

-- What keeps the keys of blind trials shut in files.
create table seal (
    only_row    integer primary key check (only_row = 1),
    secret      varbinary(32) not null
);

alter table reading add column person varchar(40) default '' not null;
alter table intake_key add column trial_id bigint;
alter table intake_key add column ends_at timestamp(9) with time zone;

create trigger log_trial after insert, update, delete on trial for each row call 'elsom.web.people.WriteTrigger';
create trigger log_plan after insert, update, delete on plan for each row call 'elsom.web.people.WriteTrigger';
create trigger log_mishap after insert, update, delete on mishap for each row call 'elsom.web.people.WriteTrigger';
create trigger log_given after insert, update, delete on given for each row call 'elsom.web.people.WriteTrigger';
create trigger log_turn after insert, update, delete on turn for each row call 'elsom.web.people.WriteTrigger';
create trigger log_skip after insert, update, delete on skip for each row call 'elsom.web.people.WriteTrigger';
create trigger log_second_score after insert, update, delete on second_score for each row call 'elsom.web.people.WriteTrigger';
create trigger log_photo after insert, update, delete on photo for each row call 'elsom.web.people.WriteTrigger';
create trigger log_tasting after insert, update, delete on tasting for each row call 'elsom.web.people.WriteTrigger';
create trigger log_tasting_answer after insert, update, delete on tasting_answer for each row call 'elsom.web.people.WriteTrigger';
create trigger log_brew_recipe after insert, update, delete on brew_recipe for each row call 'elsom.web.people.WriteTrigger';
create trigger log_brew_log after insert, update, delete on brew_log for each row call 'elsom.web.people.WriteTrigger';
create trigger log_watch after insert, update, delete on watch for each row call 'elsom.web.people.WriteTrigger';
create trigger log_lab_slip after insert, update, delete on lab_slip for each row call 'elsom.web.people.WriteTrigger';
create trigger log_light_again after insert, update, delete on light_again for each row call 'elsom.web.people.WriteTrigger';
create trigger log_series_file after insert, update, delete on series_file for each row call 'elsom.web.people.WriteTrigger';
create trigger log_quarantine after insert, update, delete on quarantine for each row call 'elsom.web.people.WriteTrigger';
create trigger log_lot after insert, update, delete on lot for each row call 'elsom.web.people.WriteTrigger';
create trigger log_lot_figure after insert, update, delete on lot_figure for each row call 'elsom.web.people.WriteTrigger';
create trigger log_use_window after insert, update, delete on use_window for each row call 'elsom.web.people.WriteTrigger';
create trigger log_container after insert, update, delete on container for each row call 'elsom.web.people.WriteTrigger';
create trigger log_own_measure after insert, update, delete on own_measure for each row call 'elsom.web.people.WriteTrigger';
create trigger log_currency after insert, update, delete on currency for each row call 'elsom.web.people.WriteTrigger';
create trigger log_liquid_measures after insert, update, delete on liquid_measures for each row call 'elsom.web.people.WriteTrigger';
create trigger log_meter_check after insert, update, delete on meter_check for each row call 'elsom.web.people.WriteTrigger';
create trigger log_intake_key after insert, update, delete on intake_key for each row call 'elsom.web.people.WriteTrigger';
create trigger log_invitation after insert, update, delete on invitation for each row call 'elsom.web.people.WriteTrigger';
create trigger log_shared_link after insert, update, delete on shared_link for each row call 'elsom.web.people.WriteTrigger';
create trigger log_person after insert, update, delete on person for each row call 'elsom.web.people.WriteTrigger';
create trigger log_sign_in after insert, update, delete on sign_in for each row call 'elsom.web.people.WriteTrigger';
