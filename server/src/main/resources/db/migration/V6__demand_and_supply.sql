-- What a grower asks for stays as it was asked, line by line; what the nursery decided to do about it is a batch and a
-- promise of so many of its plants.
create table order_line (
    id bigint generated always as identity primary key,
    order_id bigint not null references grower_order,
    -- Its place on the order, from 1; never given to another line.
    position int not null check (position >= 1),
    variety_id bigint not null references variety,
    container text not null,
    plants int not null check (plants > 0),
    leaves_from int not null check (leaves_from > 0),
    leaves_to int not null check (leaves_to >= leaves_from),
    -- The day of this line where it is not that of the order.
    target date,
    -- Share that the grower takes as whole when it is missing.
    under double precision not null default 0.03 check (under between 0 and 0.5),
    counted_in text not null default 'PLANTS' check (counted_in in ('PLANTS', 'CLUMPS')),
    cancelled_on date,
    unique (order_id, position)
);
create index on order_line (variety_id);

insert into order_line (order_id, position, variety_id, container, plants, leaves_from, leaves_to, under, counted_in)
select id, 1, variety_id, container, plants, leaves_from, leaves_to, under, counted_in from grower_order order by id;

-- What a batch was planned to give, whether or not anybody has asked for it.
alter table batch
    add column variety_id bigint references variety,
    add column plants int check (plants > 0),
    add column leaves_from int check (leaves_from > 0),
    add column leaves_to int,
    add column target date,
    add column under double precision check (under between 0 and 0.5),
    add column counted_in text check (counted_in in ('PLANTS', 'CLUMPS')),
    -- Never to be sown; what was planned stays readable.
    add column withdrawn_on date;
update batch set variety_id = ordered.variety_id, plants = ordered.plants, leaves_from = ordered.leaves_from,
       leaves_to = ordered.leaves_to, target = ordered.target, under = ordered.under, counted_in = ordered.counted_in
from grower_order ordered where ordered.id = batch.order_id;
alter table batch
    alter column variety_id set not null,
    alter column plants set not null,
    alter column leaves_from set not null,
    alter column leaves_to set not null,
    alter column target set not null,
    alter column under set not null,
    alter column counted_in set not null,
    add check (leaves_to >= leaves_from);
create index on batch (variety_id);

-- So many plants of a batch for a line; whoever was promised first comes first.
create table promise (
    id bigint generated always as identity primary key,
    line_id bigint not null references order_line,
    batch_id bigint not null references batch,
    plants int not null check (plants > 0),
    unique (line_id, batch_id)
);
create index on promise (batch_id);
insert into promise (line_id, batch_id, plants)
select line.id, batch.id, line.plants from batch join order_line line on line.order_id = batch.order_id order by batch.number;

-- Releases made before orders had lines; what left with them is entered without one.
create table release_before_lines (
    release int primary key references release (number),
    line_id bigint not null references order_line
);
insert into release_before_lines (release, line_id)
select release.number, line.id from release join order_line line on line.order_id = release.order_id;

alter table batch drop column order_id;
alter table grower_order
    drop column variety_id, drop column container, drop column plants, drop column leaves_from, drop column leaves_to,
    drop column under, drop column counted_in;

-- Orders and batches are numbered one after the other, under the lock of bookings: one that is refused in the end leaves
-- no gap in what is written on labels and notes.
alter table grower_order alter column number drop identity;
alter table batch alter column number drop identity;

-- What became of an order since it was taken: added to, never altered.
create table order_change (
    id bigint generated always as identity primary key,
    order_id bigint not null references grower_order,
    line_id bigint references order_line,
    day date not null,
    made_at timestamptz not null default now(),
    made_by bigint references account,
    kind text not null check (kind in ('LINE_ADDED', 'PLANTS_CHANGED', 'DAY_MOVED', 'LINE_CANCELLED')),
    before text,
    after text
);
create index on order_change (order_id);
create trigger order_change_is_kept before update or delete on order_change
    for each row execute function refuse_alteration();
