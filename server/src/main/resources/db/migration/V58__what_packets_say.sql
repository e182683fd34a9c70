-- What a packet says of its variety: whether it is a hybrid, and when it is ripe, counted from when.
alter table variety
    add column hybrid boolean not null default false,
    add column maturity_days integer check (maturity_days between 1 and 730),
    add column maturity_from text check (maturity_from in ('SOWING', 'EMERGENCE', 'PLANTING')),
    add constraint variety_matures_from_somewhen check ((maturity_days is null) = (maturity_from is null));

-- And of its seed: until which year it is good, whether it is coated, and whether the nursery saved it itself.
alter table seed_lot
    add column sow_by integer check (sow_by between 1990 and 2200),
    add column coated boolean not null default false,
    add column own_saved boolean not null default false;

alter table setting_revision drop constraint setting_revision_what_check;
alter table setting_revision
    add constraint setting_revision_what_check
        check (what in ('place', 'library_entry', 'nursery', 'weather', 'pace_telling', 'lesson_decision', 'pest_sighting',
                        'retired', 'variety', 'seed_lot'));
create trigger variety_setting after insert or update or delete or truncate on variety
    for each statement execute function leave_setting_revision();
create trigger seed_lot_setting after insert or update or delete or truncate on seed_lot
    for each statement execute function leave_setting_revision();
