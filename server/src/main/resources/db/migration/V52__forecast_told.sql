-- A forecast may be typed in as it was heard, or pushed by a service; when it was said tells how old it is.
alter table station_forecast add column said_on date;
update station_forecast set said_on = (select min(day) from station_forecast);
alter table station_forecast alter column said_on set not null;
