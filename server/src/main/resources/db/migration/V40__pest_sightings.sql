-- The first of a pest that was seen at a site in a year. It moves the pest's span there.
create table pest_sighting (
    site_id bigint not null references site,
    pest text not null,
    seen_on date not null,
    seen_by bigint references account,
    noted_at timestamptz not null default now(),
    primary key (site_id, pest, seen_on)
);

alter table setting_revision drop constraint setting_revision_what_check;
alter table setting_revision
    add constraint setting_revision_what_check
        check (what in ('place', 'library_entry', 'nursery', 'weather', 'leaf_telling', 'pest_sighting'));

create trigger pest_sighting_setting after insert or update or delete or truncate on pest_sighting
    for each statement execute function leave_setting_revision();
create trigger pest_sighting_revision after insert or update or delete or truncate on pest_sighting
    for each statement execute function leave_revision();
