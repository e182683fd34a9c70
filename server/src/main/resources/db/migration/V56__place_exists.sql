-- When a place exists: from a day on, until a day; empty: it has always been there, it stays.
alter table place
    add column exists_from date,
    add column exists_until date,
    add constraint place_exists_forwards check (exists_from <= exists_until);
