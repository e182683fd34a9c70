-- Whatever is kept in memory of computations rests on these tables. Each statement that changes one of them leaves a row
-- here in its own transaction, so the newest rows tell whether anything has changed, however long the record has grown.
create table revision (
    id bigint generated always as identity primary key
);

create function leave_revision() returns trigger language plpgsql as $$
begin
    insert into revision default values;
    return null;
end $$;

do $$
declare
    changed text;
begin
    foreach changed in array array['batch_change', 'batch', 'batch_run', 'promise', 'grower_order', 'order_line', 'grower',
        'seed_lot', 'variety', 'library_entry', 'evening_done', 'tray']
    loop
        execute format('create trigger %I after insert or update or delete or truncate on %I
                        for each statement execute function leave_revision()', changed || '_revision', changed);
    end loop;
end $$;
