-- Programmes of hardening that the nursery wrote down itself; the schools are known to the program.
create table hardening_programme (
    code text primary key,
    name text not null check (length(trim(name)) between 1 and 60),
    exposures jsonb not null check (jsonb_typeof(exposures) = 'array' and jsonb_array_length(exposures) between 1 and 30),
    retired boolean not null default false
);

create unique index hardening_programme_name on hardening_programme (lower(name)) where not retired;
create sequence hardening_programme_number;

create trigger hardening_programme_revision after insert or update or delete or truncate on hardening_programme
    for each statement execute function leave_revision();

-- A batch keeps the programme as it was when it was chosen: changing one later changes no batch.
alter table batch drop constraint if exists batch_hardening_programme_check;
alter table batch
    alter column hardening_programme type jsonb using jsonb_build_object('code', hardening_programme);
alter table batch
    add constraint batch_hardening_programme_check check (hardening_programme ? 'code');
