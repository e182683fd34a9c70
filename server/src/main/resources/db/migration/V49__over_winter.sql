-- Sown in late summer to stand over winter, cold, where plants harden.
alter table batch add column over_winter boolean not null default false;

update plan_change_part
set before = before || '{"overWinter": false}', after = after || '{"overWinter": false}';
