-- Several probes may measure the same at one place of a unit; the first constraint has no name of its own.
execute immediate (select 'alter table series drop constraint "' || constraint_name || '"'
    from information_schema.table_constraints where lower(table_name) = 'series' and constraint_type = 'UNIQUE');
alter table series add probe integer default 1 not null;
alter table series add constraint series_once unique (trial_id, unit_code, what, depth_cm, probe);

-- A slip is of a look, and says which endpoint each answer becomes; 0 for a slip of before.
alter table lab_slip add look integer default 0 not null;
alter table lab_slip add endpoints varchar(2000) default '' not null;
alter table lab_slip add sampled_at timestamp(9) with time zone;
update lab_slip set sampled_at = sent_at;
alter table lab_slip alter column sampled_at set not null;

-- What the earlier trial was drawn from: by it and the question a series is found again in another store.
alter table plan add came_from_seed bigint;
create index plan_came_from_seed on plan(came_from_seed);
