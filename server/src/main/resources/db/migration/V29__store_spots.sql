-- Where in the store a thing is kept, and in which order one walks past those spots. A spot is there as long as it holds
-- something, so nothing refers to one that is not.
create table store_spot (
    name text primary key check (name <> ''),
    walk_order integer not null
);

create table kept_at (
    kind text not null check (kind in ('CONTAINER', 'MIX', 'PACKET')),
    code text not null check (code <> ''),
    spot text not null references store_spot (name),
    primary key (kind, code)
);
