-- A code by which a grower opens their page without an account of their own, until a day. Behind it stands an account of the
-- grower that nobody can sign in to with a password.
alter table account
    add column link_code text unique,
    add column ends_on date;

-- What is written to growers; it waits until it has left, and stays to be looked at.
create table message (
    number int generated always as identity primary key,
    grower_id bigint not null references grower,
    address text not null,
    subject text not null,
    body text not null,
    written_on date not null,
    state text not null check (state in ('WAITING', 'SENT', 'FAILED')),
    problem text
);

create index message_state on message (state) where state <> 'SENT';

-- What a plant of a crop costs in a container.
create table plant_price (
    crop text not null,
    container text not null,
    price double precision not null check (price between 0 and 10000),
    primary key (crop, container)
);
