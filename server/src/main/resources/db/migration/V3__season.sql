-- Crops and containers as rows of their sheets; the library's files are read in at the first start.
create table library_entry (
    kind text not null check (kind in ('crop', 'container')),
    code text not null,
    position int generated always as identity,
    entries jsonb not null,
    primary key (kind, code)
);

alter table nursery add column station_altitude int not null default 600;

alter table site
    add column protection text not null default 'OPEN_GROUND'
        check (protection in ('OPEN_GROUND', 'LOW_COVER', 'UNHEATED_TUNNEL')),
    -- K from the station; null where it follows from the altitude.
    add column temperature_offset double precision check (temperature_offset between -25 and 25);

-- The containers that a batch passes, from the one it is sown in to the one it is handed over in.
alter table batch
    add column container_path text not null default 'STRAIGHT',
    add column containers text,
    -- Placed by hand; assigning all leaves it where it is.
    add column pinned boolean not null default false;
update batch set containers = (select container from grower_order where grower_order.id = batch.order_id);
alter table batch alter column containers set not null;

-- Parts of one succession or standing order carry the same number.
alter table grower_order add column succession int;
create sequence succession_number start 1;

-- Changes to plans, newest last, so that they can be undone.
create table plan_change (
    id bigint generated always as identity primary key,
    made_at timestamptz not null default now(),
    made_by bigint references account,
    words text not null,
    undone boolean not null default false
);
create table plan_change_part (
    change_id bigint not null references plan_change,
    batch_id bigint not null references batch,
    before jsonb not null,
    after jsonb not null,
    primary key (change_id, batch_id)
);

-- Several changes tried together beside the plan that stands.
create table draft (
    id bigint generated always as identity primary key,
    name text not null unique,
    made_on date not null
);
create table draft_part (
    draft_id bigint not null references draft on delete cascade,
    batch_id bigint not null references batch,
    change jsonb not null,
    primary key (draft_id, batch_id)
);

-- What was forecast when it was last looked at, to tell what has moved since and why.
create table forecast_kept (
    batch_id bigint primary key references batch,
    day date not null,
    ready date not null,
    sequence int not null
);
create table forecast_change (
    day date not null,
    batch_id bigint not null references batch,
    place_id bigint not null references place,
    ready_before date not null,
    ready_after date not null,
    cause text not null,
    primary key (day, batch_id)
);

alter table station_day add column source text not null default 'STATION' check (source in ('STATION', 'FILE'));

-- An address that a calendar program fetches without signing in; whoever knows it can read it.
create table calendar_feed (
    token text primary key,
    account_id bigint references account,
    place_id bigint references place,
    check ((account_id is null) <> (place_id is null))
);
create unique index on calendar_feed (account_id) where account_id is not null;
create unique index on calendar_feed (place_id) where place_id is not null;

-- What things cost here, in the nursery's own money.
create table rate (
    code text primary key,
    words text not null,
    value double precision not null check (value >= 0)
);
insert into rate (code, words, value) values
    ('mix_per_litre', 'Mix, a litre', 0.22),
    ('seed_per_thousand', 'Seed, a thousand', 9),
    ('label', 'Label, each', 0.04),
    ('slot_week', 'Bench room, a tray for a week', 0.35),
    ('hour', 'Work, an hour', 21),
    ('seconds_to_sow', 'Sowing a cell, seconds', 4),
    ('seconds_to_pot', 'Potting a plant, seconds', 22);

-- What is left of a lot follows from these; without them every look at the store reads the whole record.
create index batch_change_sown on batch_change (batch_id) where kind = 'Sown';
create index batch_change_corrected on batch_change (batch_id) where kind = 'Corrected';
