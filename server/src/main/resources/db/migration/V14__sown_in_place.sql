-- Plants of a line for which seed is set aside, to be sown where they are to stand: what the nursery decided to do about it,
-- beside promises of batches. Its seed is taken from the lot from the decision on.
create table sowing_in_place (
    id bigint generated always as identity primary key,
    line_id bigint not null references order_line,
    lot_id bigint not null references seed_lot,
    plants int not null check (plants > 0),
    spots int not null check (spots > 0),
    seeds_per_spot int not null check (seeds_per_spot between 1 and 10),
    sow_from date not null,
    sow_until date not null check (sow_until >= sow_from),
    decided_on date not null,
    decided_by bigint references account,
    withdrawn_on date,
    -- The note with which the seed went; it is not withdrawn while it is out.
    release int references release (number),
    check (withdrawn_on is null or release is null)
);
create unique index on sowing_in_place (line_id) where withdrawn_on is null;
create index on sowing_in_place (release);
create index on sowing_in_place (lot_id);
create trigger sowing_in_place_revision after insert or update or delete or truncate on sowing_in_place
    for each statement execute function leave_revision();

alter table order_change drop constraint order_change_kind_check;
alter table order_change add check (kind in ('LINE_ADDED', 'PLANTS_CHANGED', 'DAY_MOVED', 'LINE_CANCELLED', 'ROUTE_CHANGED'));
