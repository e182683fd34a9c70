-- What makes the light of a place: what it sees of the sky, a cloth against fierce sun, and lamps by their light, their
-- hours and how high they hang. What lamps gave in a day is taken for that of sixteen hours, as most people light.
alter table place
    add column lamp_flux double precision not null default 0 check (lamp_flux between 0 and 2000),
    add column lamp_hours double precision not null default 0 check (lamp_hours between 0 and 24),
    add column lamp_distance double precision not null default 300 check (lamp_distance > 0),
    add column aspect text not null default 'OVERHEAD' check (aspect in ('OVERHEAD', 'NORTH', 'EAST', 'SOUTH', 'WEST')),
    add column sun_from double precision not null default 0 check (sun_from between 0 and 24),
    add column sun_until double precision not null default 24 check (sun_until between sun_from and 24),
    add column cloth_takes double precision not null default 0 check (cloth_takes between 0 and 0.95),
    add column cloth_above double precision not null default 1000 check (cloth_above > 0);

update place set lamp_flux = least(2000, lamp_light / (16 * 0.0036)), lamp_hours = 16 where lamp_light > 0;

alter table place drop column lamp_light;
