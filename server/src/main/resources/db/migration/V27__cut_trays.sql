-- A tray that was cut to fit: how many of its rows are left, and what share of a whole tray that is.
alter table tray
    add column rows int check (rows >= 1),
    add column share double precision check (share > 0 and share < 1),
    add constraint cut_whole check ((rows is null) = (share is null));
