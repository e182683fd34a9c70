-- What a device's word is taken for: the climate of a place, the weather outdoors, or a forecast.
alter table device add column feeds text not null default 'PLACE' check (feeds in ('PLACE', 'STATION', 'FORECAST'));
alter table device alter column feeds drop default;
alter table device alter column place_id drop not null;
alter table device add constraint device_hangs_at_what_it_feeds check ((feeds = 'PLACE') = (place_id is not null));

-- What a station outdoors read, in the nursery's own time. It says one thing of one moment.
create table station_reading (
    device_id bigint not null references device,
    read_at timestamp not null,
    celsius double precision not null check (celsius between -60 and 60),
    primary key (device_id, read_at)
);
create index on station_reading (read_at);

-- A day is told by the demonstration's station, by a file that somebody read in, by a station that sends, or by nobody.
alter table station_day drop constraint station_day_source_check;
alter table station_day
    add constraint station_day_source_check check (source in ('STATION', 'FILE', 'DEVICE', 'ESTIMATED'));
