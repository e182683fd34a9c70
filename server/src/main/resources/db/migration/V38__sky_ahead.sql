-- What a forecast says beside temperatures: gusts in m/s, rain in mm, the chance of hail and the share of sunshine, where it does.
alter table station_forecast
    add column gust double precision check (gust >= 0),
    add column rain double precision check (rain >= 0),
    add column hail double precision check (hail between 0 and 1),
    add column sun double precision check (sun between 0 and 1);

-- A school of its own: a day in the lee, then out.
alter table batch drop constraint if exists batch_hardening_programme_check;
alter table batch
    add constraint batch_hardening_programme_check
        check (hardening_programme in ('NONE', 'DAY_OR_TWO', 'BY_DAY', 'STEP_BY_STEP'));
