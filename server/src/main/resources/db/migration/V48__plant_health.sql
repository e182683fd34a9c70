-- What local rules want on a note beside its plants: the entries of a plant passport, for example. Kiver keeps, it gives no licence.
create table health_field (
    position int primary key check (position > 0),
    label text not null check (label <> ''),
    source text not null check (source in ('TEXT', 'BOTANICAL_NAME', 'SEED_LOT', 'BATCH', 'DAY')),
    words text not null default ''
);

create table botanical_name (
    crop text primary key,
    name text not null check (name <> '')
);

-- As it was when the plants went; what comes from the record of the plants follows from there.
create table release_health (
    release int not null references release (number),
    line_id bigint not null references order_line,
    position int not null,
    label text not null,
    source text not null,
    words text not null,
    primary key (release, line_id, position)
);

create trigger release_health_revision after insert or update or delete or truncate on release_health
    for each statement execute function leave_revision();
