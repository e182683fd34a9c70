-- What somebody looked for at a place and how much of it was seen, as a share of the plants there.
create table look_note (
    request_id uuid primary key,
    place_id bigint not null references place,
    ailment text not null,
    share double precision not null check (share between 0 and 1),
    seen_on date not null,
    seen_by bigint references account
);
create index on look_note (place_id, seen_on);
