-- Each change says in which form its detail is written, so that older ones stay readable as they are.
alter table batch_change rename column day to occurred_on;
alter table batch_change
    add column version int not null default 1 check (version >= 1),
    -- The request it came with; null for the nursery's simulated hands of old.
    add column request uuid;
alter table batch_change alter column version drop default;
create index on batch_change (batch_id, occurred_on);
