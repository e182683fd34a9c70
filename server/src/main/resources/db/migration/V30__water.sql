-- What a container weighs filled, dry and soaked; worked out from its mix where nobody weighed it.
create table container_weight (
    container text primary key,
    dry double precision not null check (dry > 0 and dry <= 100000),
    soaked double precision not null check (soaked > dry and soaked <= 100000)
);

-- What was done and seen of the water in trays, in the nursery's own time. One press may tell of many trays.
create table water_seen (
    id bigint generated always as identity primary key,
    request_id uuid,
    tray_number integer not null,
    happened_at timestamp not null,
    kind text not null check (kind in ('WEIGHED', 'LIFTED', 'SURFACE', 'WATERED')),
    -- Of those that were weighed, g.
    grams double precision check (grams > 0 and grams <= 100000),
    -- Of the others: how it felt, how it looked, where the water came from.
    word text check (word in ('LIGHT', 'SOME', 'HEAVY', 'DARK', 'PALE', 'BELOW', 'ABOVE', 'SPRAY')),
    seen_by bigint references account,
    device_id bigint references device,
    recorded_at timestamptz not null default now(),
    check ((kind = 'WEIGHED') = (grams is not null)),
    check ((kind = 'WEIGHED') = (word is null)),
    unique (request_id, tray_number),
    -- A scale that says the same moment again has said it before.
    unique (device_id, tray_number, happened_at)
);
create index water_seen_lately on water_seen (happened_at);
create index water_weighed on water_seen (id) where kind = 'WEIGHED';
