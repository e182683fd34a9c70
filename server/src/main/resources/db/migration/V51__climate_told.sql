-- What people say of the climate where nobody measured it: one row, or none until they do. Dates are month-day.
create table told_climate (
    only_one boolean primary key default true check (only_one),
    coldest_minimum double precision not null check (coldest_minimum between -60 and 40),
    coldest_maximum double precision not null check (coldest_maximum between coldest_minimum and 50),
    warmest_minimum double precision not null check (warmest_minimum between coldest_minimum and 45),
    warmest_maximum double precision not null check (warmest_maximum between warmest_minimum and 55),
    last_frost text check (last_frost ~ '^\d\d-\d\d$'),
    last_frost_at_worst text check (last_frost_at_worst ~ '^\d\d-\d\d$'),
    first_frost text check (first_frost ~ '^\d\d-\d\d$'),
    first_frost_at_worst text check (first_frost_at_worst ~ '^\d\d-\d\d$'),
    check (num_nonnulls(last_frost, last_frost_at_worst, first_frost, first_frost_at_worst) in (0, 4))
);

-- Days that nobody measured are estimated; what another valley's weather would have been is no longer assumed.
alter table station_day drop constraint station_day_source_check;
update station_day set source = 'ESTIMATED' where source = 'ASSUMED';
alter table station_day add constraint station_day_source_check check (source in ('STATION', 'FILE', 'ESTIMATED'));
delete from station_forecast where exists (select from nursery where not demo);

-- The nursery's day begins at its own midnight.
alter table nursery add column time_zone text not null default 'UTC' check (time_zone <> '');
update nursery set time_zone = current_setting('TimeZone') where current_setting('TimeZone') ~ '^[A-Z][A-Za-z]+/[A-Za-z/_+-]+$';
