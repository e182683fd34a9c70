-- Potted as late as its roots allow, to leave room where it is short.
alter table batch add column potted_late boolean not null default false;

update plan_change_part
set before = before || '{"pottedLate": false}', after = after || '{"pottedLate": false}';
update draft_part set change = change || '{"pottedLate": false}';
