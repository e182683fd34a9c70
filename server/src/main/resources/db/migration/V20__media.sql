-- What goes into mixes.
create table ingredient (
    code text primary key,
    name text not null unique,
    density double precision not null check (density > 0 and density < 5),
    bag_litres double precision not null check (bag_litres > 0),
    bag_price double precision not null check (bag_price >= 0),
    dusty boolean not null,
    alive boolean not null
);

-- How mixes are made; what is in them and how they are handled is one document.
create table recipe (
    code text primary key,
    name text not null unique,
    use text not null check (use in ('SOWING', 'POTTING', 'BLOCKS')),
    usual boolean not null default false,
    retired boolean not null default false,
    version int not null default 1,
    detail jsonb not null,
    check (not (usual and retired))
);
-- One mix of each use is the usual one.
create unique index recipe_usual on recipe (use) where usual;

-- What one mixes and measures with, and when that is worth the trouble.
create table mixing (
    only_one boolean primary key default true check (only_one),
    bucket_litres double precision not null default 10 check (bucket_litres > 0),
    barrow_litres double precision not null default 80 check (barrow_litres > 0),
    waste double precision not null default 0.05 check (waste between 0 and 1),
    least_plants int not null default 20 check (least_plants >= 0),
    bought_per_litre double precision check (bought_per_litre >= 0),
    work_per_barrow double precision not null default 0 check (work_per_barrow >= 0)
);
insert into mixing default values;

-- A delivery of an ingredient, with what stands on its bags.
create table ingredient_lot (
    id bigint generated always as identity primary key,
    ingredient text not null references ingredient,
    code text not null,
    supplier text not null,
    bought_on date not null,
    unique (ingredient, code)
);

-- A mixing: the heap or the bin that cells are filled from. The recipe is kept as it was.
create table mix_lot (
    number int generated always as identity primary key,
    recipe text not null references recipe,
    name text not null,
    made_on date not null,
    detail jsonb not null
);

-- The one ledger of what came into the store and what went, in litres; what is there is its sum.
create table stock_movement (
    id bigint generated always as identity primary key,
    kind text not null check (kind in ('BOUGHT', 'BLENDED_IN', 'MADE', 'FILLED', 'COUNTED', 'SPOILED')),
    ingredient_lot bigint references ingredient_lot,
    mix_lot int references mix_lot,
    litres double precision not null check (litres = litres and abs(litres) < 1e7),
    day date not null,
    -- The mix that an ingredient went into.
    into_mix int references mix_lot,
    -- The batch whose cells were filled.
    batch_id bigint references batch,
    recorded_by bigint references account,
    recorded_at timestamptz not null default now(),
    request uuid,
    check (ingredient_lot is not null or mix_lot is not null),
    check (ingredient_lot is null or mix_lot is null),
    check ((kind = 'BLENDED_IN') = (into_mix is not null)),
    check ((kind = 'FILLED') = (batch_id is not null))
);
create index on stock_movement (ingredient_lot);
create index on stock_movement (mix_lot);
create index on stock_movement (into_mix);
create index on stock_movement (batch_id);
-- A request fills once, however often it is sent.
create unique index stock_movement_filled_once on stock_movement (request) where kind = 'FILLED';
create trigger stock_movement_is_kept before update or delete on stock_movement
    for each row execute function refuse_alteration();
