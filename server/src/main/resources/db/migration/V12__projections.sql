-- What follows from a batch's record, written in the transaction that adds to it, so that nobody has to go through the
-- record to find a tray, a lot or a note. The record stays the only truth: `./kiver rebuild` proves the one equal to the other.
create extension if not exists btree_gist;

create table batch_standing (
    batch_id bigint primary key references batch,
    -- The entry of the record it stands at.
    sequence int not null check (sequence >= 1),
    stage text not null check (stage in ('PLANNED', 'SOWN', 'EMERGING', 'GROWING_ON', 'HARDENING_OFF', 'READY', 'RELEASED', 'FAILED')),
    began_on date,
    last_on date not null,
    completely_counted boolean not null,
    sown int not null check (sown >= 0),
    waiting int not null check (waiting >= 0),
    empty int not null check (empty >= 0),
    alive int not null check (alive >= 0),
    lost int not null check (lost >= 0),
    released int not null check (released >= 0),
    check (sown = waiting + empty + alive + lost + released)
);

-- What stands where: cells next to each other of which the same is true. No cell holds plants of two batches.
create table batch_cells (
    batch_id bigint not null references batch,
    tray_id bigint not null references tray,
    first_cell int not null check (first_cell >= 1),
    last_cell int not null check (last_cell >= first_cell),
    condition text not null check (condition in ('WAITING', 'EMPTY', 'ALIVE', 'LOST', 'RELEASED')),
    seeds int not null check (seeds >= 1),
    seedlings int not null check (seedlings >= 0),
    only_seen boolean not null,
    -- The sowing or arrival that the plants came from, wherever they were potted since, and its lot.
    origin int not null,
    lot_id bigint not null references seed_lot,
    primary key (batch_id, tray_id, first_cell),
    exclude using gist (tray_id with =, int4range(first_cell, last_cell, '[]') with &&)
);

-- Sowings and arrivals that were not taken back, and what they took from their lots.
create table batch_origin (
    batch_id bigint not null references batch,
    sequence int not null,
    occurred_on date not null,
    tray_id bigint not null references tray,
    first_cell int not null check (first_cell >= 1),
    last_cell int not null check (last_cell >= first_cell),
    lot_id bigint not null references seed_lot,
    -- 0 where plants came that were raised elsewhere.
    seeds int not null check (seeds >= 0),
    medium text not null,
    primary key (batch_id, sequence)
);
create index on batch_origin (lot_id) include (seeds);
create index on batch_origin (tray_id);

-- What left with a delivery note and was not taken back: cells, and the seedlings of their clumps.
create table batch_departure (
    batch_id bigint not null references batch,
    release bigint not null,
    line_id bigint not null,
    cells int not null check (cells >= 1),
    seedlings int not null check (seedlings >= 1),
    primary key (batch_id, release, line_id)
);
create index on batch_departure (release);
create index on batch_departure (line_id) include (cells);

-- What was read from the record before.
drop index if exists batch_change_sown;
drop index if exists batch_change_corrected;

-- What is planned for a cell is planned for one batch.
alter table batch_run add exclude using gist (tray_id with =, int4range(first_cell, last_cell, '[]') with &&);

-- A kind that this version does not know never comes into the record.
alter table batch_change add check (kind in ('Sown', 'BroughtIn', 'LeftUnsown', 'Counted', 'Lost', 'PottedOn', 'Moved',
    'HardeningStarted', 'HardenedForDay', 'HardeningEnded', 'Released', 'Corrected'));
