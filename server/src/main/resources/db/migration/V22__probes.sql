-- Devices that send readings, each with a token of its own of which only the digest is kept.
create table device (
    id bigint generated always as identity primary key,
    name text not null unique check (name <> ''),
    place_id bigint not null references place,
    token_digest text not null unique,
    added_on date not null,
    withdrawn_on date,
    -- Whether the demonstration makes up what it reads.
    simulated boolean not null default false,
    last_heard timestamp
);

-- What they read, in the nursery's own time. A device says one thing of one moment.
create table probe_reading (
    device_id bigint not null references device,
    read_at timestamp not null,
    place_id bigint not null references place,
    celsius double precision not null check (celsius between -60 and 80),
    humidity double precision check (humidity between 0 and 100),
    primary key (device_id, read_at)
);
create index on probe_reading (place_id, read_at);
