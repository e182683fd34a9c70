-- What the last count of a batch's leaves tells of how fast its crop makes them at a place. It stays when the batch is put away.
create table leaf_telling (
    batch int primary key references batch (number),
    crop text not null,
    place_id bigint not null references place,
    log_pace double precision not null check (log_pace between -5 and 5),
    deviation double precision not null check (deviation > 0)
);

alter table setting_revision drop constraint setting_revision_what_check;
alter table setting_revision
    add constraint setting_revision_what_check
        check (what in ('place', 'library_entry', 'nursery', 'weather', 'leaf_telling'));

create trigger leaf_telling_setting after insert or update or delete or truncate on leaf_telling
    for each statement execute function leave_setting_revision();
create trigger leaf_telling_revision after insert or update or delete or truncate on leaf_telling
    for each statement execute function leave_revision();
