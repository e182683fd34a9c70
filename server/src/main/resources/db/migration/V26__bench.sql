-- What a packet says of its seed besides germination, where it says it; and whether mice come into a place.
alter table seed_lot
    add column packet_days_from integer check (packet_days_from between 1 and 365),
    add column packet_days_to integer check (packet_days_to between 1 and 365),
    add column packet_depth double precision check (packet_depth between 0 and 200),
    add constraint packet_days_whole check ((packet_days_from is null) = (packet_days_to is null)
        and (packet_days_from is null or packet_days_from <= packet_days_to));

alter table place add column keeps_mice_out boolean not null default false;

alter table batch_change drop constraint batch_change_kind_check;
alter table batch_change add constraint batch_change_kind_check check (kind in (
    'Sown', 'BroughtIn', 'LeftUnsown', 'Counted', 'Lost', 'Mixed', 'Recognised', 'PottedOn', 'CellsMoved', 'Thinned', 'PrickedOut', 'Moved', 'HardeningStarted',
    'HardenedForDay', 'HardeningEnded', 'Released', 'Noted', 'Corrected'));

-- What somebody read off a thermometer that keeps the lowest and the highest; it counts for more than what probes sent.
create table hand_reading (
    request_id uuid primary key,
    place_id bigint not null references place,
    day date not null,
    minimum double precision not null check (minimum between -60 and 80),
    maximum double precision not null check (maximum between minimum and 80),
    read_by bigint references account,
    read_at timestamptz not null default now()
);
create index hand_reading_of_day on hand_reading (place_id, day);
