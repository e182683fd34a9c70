-- Feeds as their labels tell them, how the nursery feeds, and what was given.
create table feed_product (
    id bigint generated always as identity primary key,
    name text not null unique check (name <> ''),
    form text not null check (form in ('LIQUID', 'POWDER')),
    nitrogen double precision not null check (nitrogen >= 0 and nitrogen <= 60),
    phosphorus double precision not null check (phosphorus >= 0 and phosphorus <= 60),
    potassium double precision not null check (potassium >= 0 and potassium <= 60),
    density double precision not null check (density between 0.5 and 2),
    check (nitrogen + phosphorus + potassium <= 100)
);

create table feeding_way (
    only_one boolean primary key default true check (only_one),
    school text not null check (school in ('BY_RESERVE', 'FROM_EMERGENCE', 'BEFORE_PLANTING', 'NEVER')),
    strength double precision not null check (strength > 0 and strength <= 1000),
    can_litres double precision not null check (can_litres > 0 and can_litres <= 10000)
);

create table feeding (
    request_id uuid primary key,
    batch_id bigint not null references batch,
    product_id bigint not null references feed_product,
    strength double precision not null check (strength > 0 and strength <= 1000),
    -- What a meter showed, mS/cm; missing where there is none.
    conductivity double precision check (conductivity between 0 and 20),
    fed_on date not null,
    fed_by bigint references account,
    recorded_at timestamptz not null default now()
);
create index feeding_of_batch on feeding (batch_id, fed_on);
