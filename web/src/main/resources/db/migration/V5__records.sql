-- What is read only of counted things (the longest root of rooted cuttings) names the count; empty for the rest.
alter table endpoint add column read_of varchar(40);
update endpoint set read_of = 'rooted' where code in ('roots-each', 'root-length')
    and exists (select 1 from endpoint o where o.trial_id = endpoint.trial_id and o.code = 'rooted');
update endpoint set read_of = 'germinated' where code = 'root-length' and read_of is null
    and exists (select 1 from endpoint o where o.trial_id = endpoint.trial_id and o.code = 'germinated');
-- How units are watered is the plan's to say; what trials from before plans said is kept for theirs to be recovered.
alter table trial alter column watering drop not null;
alter table trial alter column refill_fraction drop not null;
