-- Raised by every change of a plan or of what was drawn from it, so that a stale form is known.
alter table trial add column plan_revision bigint default 0 not null;
-- Hidden from Today and the list, and kept.
alter table trial add column put_away boolean default false not null;

create index trial_by_start on trial(start_at);
create index reading_by_entry on reading(trial_id, id);
create index reading_by_place on reading(trial_id, unit_code, look, endpoint, sub_reading);

-- What lists of trials show, worked out from a trial at a revision; stale when the trial's revision is another one.
create table digest (
    trial_id        bigint       primary key references trial(id),
    revision        bigint       not null,
    -- why the trial can't be read; empty when it can
    problem         varchar(500) not null,
    step            varchar(200) not null,
    units           integer      not null,
    names           varchar(2000) not null,
    codes           varchar(8000) not null,
    crop            varchar(60)  not null,
    measured        boolean      not null,
    next_look       integer,
    next_name       varchar(60),
    next_at         timestamp(9) with time zone,
    following_at    timestamp(9) with time zone,
    done            integer      not null,
    expected        integer      not null,
    weighs          boolean      not null,
    ends_at         timestamp(9) with time zone not null
);
create index digest_by_next on digest(next_at);

create table digest_chore (
    trial_id        bigint       not null references trial(id),
    due_at          timestamp(9) with time zone not null,
    name            varchar(300) not null
);
create index digest_chore_by_time on digest_chore(due_at);
create index digest_chore_by_trial on digest_chore(trial_id);

-- A mix of several materials is longer than a name.
alter table treatment alter column material set data type varchar(200);
-- Forty rows of forty readings with every digit, and two hundred changes of a plan.
alter table bench alter column light_map set data type varchar(60000);
alter table amendment alter column changes set data type varchar(500000);

-- Each time the numbers set aside are used up, setting aside more is written to the disk: far oftener than needed, by 32.
alter table reading alter column id set cache 1000;
alter table trial alter column id set cache 100;
