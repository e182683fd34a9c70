-- Photographs of trays, made small; they may be thrown away.
create table photograph (
    id bigint generated always as identity primary key,
    request_id uuid not null unique,
    tray_number integer not null,
    taken_on date not null,
    taken_by bigint references account,
    picture bytea not null check (octet_length(picture) <= 400000)
);
create index on photograph (tray_number, taken_on);
