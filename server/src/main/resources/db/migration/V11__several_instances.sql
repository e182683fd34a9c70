-- What several instances on one database must know of each other.

-- What an instance keeps in memory of these tables is read anew when another has changed them: each statement that
-- changes one leaves a row here in its own transaction. 'weather' is written where measured days were changed.
create table setting_revision (
    id bigint generated always as identity primary key,
    what text not null check (what in ('place', 'library_entry', 'nursery', 'weather'))
);
create index setting_revision_by_what on setting_revision (what, id desc);

create function leave_setting_revision() returns trigger language plpgsql as $$
begin
    insert into setting_revision (what) values (tg_table_name);
    return null;
end $$;

do $$
declare
    changed text;
begin
    foreach changed in array array['place', 'library_entry', 'nursery']
    loop
        execute format('create trigger %I after insert or update or delete or truncate on %I
                        for each statement execute function leave_setting_revision()', changed || '_setting', changed);
    end loop;
end $$;

-- The placing of the whole season that runs in the background, one at a time, on whichever instance began it. One that
-- has not been heard of for a while is over.
create table placing_run (
    only_one boolean primary key default true check (only_one),
    token uuid not null,
    progress double precision not null default 0,
    stop boolean not null default false,
    outcome jsonb,
    failure text,
    heard_of timestamptz not null default now()
);

-- Passwords that were wrong, by address and account.
create table sign_in_failure (
    key text primary key,
    count int not null check (count > 0),
    last_at timestamptz not null
);
