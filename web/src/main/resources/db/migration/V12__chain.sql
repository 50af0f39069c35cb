-- The trial a plan was made from, kept beside its document so that later trials of one are found without reading them all.
alter table plan add came_from bigint;
create index plan_came_from on plan(came_from);
update plan
set came_from = cast(regexp_replace(regexp_substr(document, '"trial" : [0-9]+'), '[^0-9]', '') as bigint)
where regexp_like(document, '"trial" : [0-9]+');
