-- How often each of these tables was changed, counted instead of a row left for every change: rows grew for ever, and all of
-- them were counted at every request. A transaction counts in a slot that nobody else is counting in, so nobody waits for
-- anybody; what stands in the slots never comes back to what it was.
create table change_count (
    slot bigint generated always as identity primary key,
    what text not null,
    changes bigint not null check (changes > 0)
);
create index change_count_by_what on change_count (what);

insert into change_count (what, changes) select 'record', max(id) from revision having max(id) is not null;
insert into change_count (what, changes) select what, max(id) from setting_revision group by what;

create function count_change(changed text) returns void language plpgsql as $$
declare
    free bigint;
begin
    select slot into free from change_count where what = changed order by slot limit 1 for update skip locked;
    if found then
        update change_count set changes = changes + 1 where slot = free;
    else
        insert into change_count (what, changes) values (changed, 1);
    end if;
end $$;

create or replace function leave_revision() returns trigger language plpgsql as $$
begin
    perform count_change('record');
    return null;
end $$;

create or replace function leave_setting_revision() returns trigger language plpgsql as $$
begin
    perform count_change(tg_table_name);
    return null;
end $$;

drop table revision;
drop table setting_revision;
