alter table setting_revision drop constraint setting_revision_what_check;
alter table setting_revision
    add constraint setting_revision_what_check
        check (what in ('place', 'library_entry', 'nursery', 'weather', 'pace_telling', 'lesson_decision', 'pest_sighting',
                        'retired'));

-- Rows of the nursery's sheets as they were before and after somebody changed them; before is null for a row that was added.
create table sheet_change (
    number bigint generated always as identity primary key,
    sheet text not null,
    row_key text not null,
    before jsonb,
    after jsonb not null,
    changed_by bigint not null references account,
    changed_at timestamptz not null,
    undoes bigint unique references sheet_change
);
create index sheet_change_of_sheet on sheet_change (sheet, number desc);
create trigger sheet_change_is_kept before update or delete on sheet_change
    for each row execute function refuse_alteration();

-- What is no longer used and no longer offered; what was done with it stays.
create table retired (
    sheet text not null,
    row_key text not null,
    primary key (sheet, row_key)
);
create trigger retired_setting after insert or update or delete or truncate on retired
    for each statement execute function leave_setting_revision();
create trigger retired_revision after insert or update or delete or truncate on retired
    for each statement execute function leave_revision();
