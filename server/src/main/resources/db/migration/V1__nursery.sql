-- One nursery per database.
create table nursery (
    only_one boolean primary key default true check (only_one),
    name text not null,
    latitude double precision not null check (latitude between -66 and 66),
    demo boolean not null,
    -- The day that the demonstration's own clock shows; a real nursery goes by the calendar.
    demo_today date,
    check (demo = (demo_today is not null))
);

create table grower (
    id bigint generated always as identity primary key,
    name text not null unique
);

create table site (
    id bigint generated always as identity primary key,
    grower_id bigint not null references grower,
    name text not null,
    altitude int not null,
    unique (grower_id, name)
);

create table account (
    id bigint generated always as identity primary key,
    email text not null unique,
    name text not null,
    password_hash text not null,
    role text not null check (role in ('PROPAGATOR', 'BENCH_HAND', 'GROWER')),
    grower_id bigint references grower,
    check ((role = 'GROWER') = (grower_id is not null))
);

create table place (
    id bigint generated always as identity primary key,
    name text not null unique,
    walking_order int not null unique,
    slots int not null check (slots > 0),
    day_set_point double precision,
    night_set_point double precision,
    gain_by_day double precision,
    gain_by_night double precision,
    floor double precision,
    daylight_share double precision not null check (daylight_share between 0 and 1),
    lamp_light double precision not null check (lamp_light >= 0),
    for_emergence boolean not null,
    for_growing_on boolean not null,
    for_hardening_off boolean not null,
    caution text not null,
    check ((day_set_point is null) = (night_set_point is null)),
    check ((day_set_point is null) = (gain_by_day is not null and gain_by_night is not null and floor is not null)),
    check (for_emergence or for_growing_on or for_hardening_off)
);

create table place_reading (
    place_id bigint not null references place,
    day date not null,
    minimum double precision not null,
    maximum double precision not null check (maximum >= minimum),
    primary key (place_id, day)
);

create table station_day (
    day date primary key,
    minimum double precision not null,
    maximum double precision not null check (maximum >= minimum)
);

-- Only the newest forecast is kept.
create table station_forecast (
    day date primary key,
    minimum double precision not null,
    maximum double precision not null check (maximum >= minimum)
);

create table variety (
    id bigint generated always as identity primary key,
    crop text not null,
    name text not null unique
);

create table seed_lot (
    id bigint generated always as identity primary key,
    code text not null unique,
    variety_id bigint not null references variety,
    supplier text not null,
    germination_label double precision not null check (germination_label between 0 and 1),
    tested_seeds int not null check (tested_seeds > 0),
    tested_on date not null,
    seeds_bought int not null check (seeds_bought >= 0)
);

create table grower_order (
    id bigint generated always as identity primary key,
    number int generated always as identity (start with 101) unique,
    grower_id bigint not null references grower,
    site_id bigint not null references site,
    variety_id bigint not null references variety,
    container text not null,
    plants int not null check (plants > 0),
    leaves_from int not null check (leaves_from > 0),
    leaves_to int not null check (leaves_to >= leaves_from),
    target date not null,
    placed_on date not null
);
create index on grower_order (grower_id);

create table tray (
    id bigint generated always as identity primary key,
    number int generated always as identity (start with 1001) unique,
    container text not null
);

create table batch (
    id bigint generated always as identity primary key,
    number int generated always as identity (start with 201) unique,
    order_id bigint not null references grower_order,
    lot_id bigint not null references seed_lot,
    seeds_per_cell int not null check (seeds_per_cell between 1 and 10),
    cells int not null check (cells > 0),
    -- Cells in which something must come up for the order to be met.
    cells_needed int not null check (cells_needed > 0),
    sow_day date not null,
    latest_sow_day date,
    emergence_place_id bigint not null references place,
    growing_place_id bigint not null references place,
    hardening_place_id bigint not null references place,
    hardening_programme text not null
);
create index on batch (order_id);
create index on batch (lot_id);

-- The cells that were set aside for a batch when it was planned.
create table batch_run (
    batch_id bigint not null references batch,
    tray_id bigint not null references tray,
    first_cell int not null check (first_cell >= 1),
    last_cell int not null check (last_cell >= first_cell),
    primary key (batch_id, tray_id)
);
create index on batch_run (tray_id);

-- Every change to plants. Rows are added and never altered; a wrong one is corrected by another.
create table batch_change (
    batch_id bigint not null references batch,
    sequence int not null check (sequence >= 1),
    kind text not null,
    day date not null,
    detail jsonb not null,
    recorded_by bigint references account,
    recorded_at timestamptz not null default now(),
    primary key (batch_id, sequence)
);

create table release (
    id bigint generated always as identity primary key,
    number int generated always as identity (start with 501) unique,
    order_id bigint not null references grower_order,
    day date not null
);
create index on release (order_id);

-- Requests that were carried out; written in the same transaction as what they did, so that a retry does nothing.
create table request (
    id uuid primary key,
    result bigint,
    at timestamptz not null default now()
);

create function refuse_alteration() returns trigger language plpgsql as $$
begin
    raise exception 'A recorded change is never altered; record a correction instead.';
end $$;
create trigger batch_change_is_kept before update or delete on batch_change
    for each row execute function refuse_alteration();
