-- What the page of trials shows and searches beside the question: the looks' hours after the start with blanks between,
-- what treatments are made of, and the year a trial began in where it stands.
alter table digest add column looks varchar(4000) default '' not null;
alter table digest add column materials varchar(4000) default '' not null;
alter table digest add column begun_year integer default 0 not null;
-- what the last entry of a step's kind gave all units alike; empty where it did not
alter table digest_chore add column last_time varchar(200) default '' not null;
delete from digest_chore;
delete from digest;

-- A trial's first answer in few words, as lists show it; stale when what it was worked out from is another.
create table answer_line (
    trial_id bigint       primary key references trial(id),
    basis    varchar(120) not null,
    firmness varchar(60)  not null,
    words    varchar(600) not null
);
