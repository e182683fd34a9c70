alter table setting_revision drop constraint setting_revision_what_check;
update setting_revision set what = 'pace_telling' where what = 'leaf_telling';
alter table setting_revision
    add constraint setting_revision_what_check
        check (what in ('place', 'library_entry', 'nursery', 'weather', 'pace_telling', 'lesson_decision', 'pest_sighting'));

-- What counts tell of a crop's pace, of emergence as of leaves; of which variety and lot, as far as it is one.
alter table leaf_telling rename to pace_telling;
alter table pace_telling add column matter text not null default 'LEAVES' check (matter in ('EMERGENCE', 'LEAVES'));
alter table pace_telling alter column matter drop default;
alter table pace_telling add column variety_id bigint not null default 0;
alter table pace_telling add column lot_id bigint not null default 0;
update pace_telling set variety_id = batch.variety_id, lot_id = coalesce(batch.lot_id, 0)
from batch where batch.number = pace_telling.batch;
alter table pace_telling alter column variety_id drop default;
alter table pace_telling alter column lot_id drop default;
alter table pace_telling drop constraint leaf_telling_pkey;
alter table pace_telling add primary key (matter, batch);

-- What somebody decided about a lesson. The last that is not undone holds; none is ever removed.
create table lesson_decision (
    id bigint generated always as identity primary key,
    matter text not null check (matter in ('EMERGENCE', 'LEAVES', 'SURVIVAL')),
    crop text not null,
    beside text not null check (beside in ('CROP', 'PLACE', 'VARIETY', 'LOT')),
    about_id bigint not null check ((about_id = 0) = (beside = 'CROP')),
    taken boolean not null,
    value double precision not null,
    weight double precision not null check (weight >= 0),
    batches int not null check (batches >= 0),
    was double precision not null,
    decided_on date not null,
    decided_by bigint not null references account,
    undone_on date,
    undone_by bigint references account,
    check ((undone_on is null) = (undone_by is null))
);

create trigger lesson_decision_setting after insert or update or delete or truncate on lesson_decision
    for each statement execute function leave_setting_revision();
create trigger lesson_decision_revision after insert or update or delete or truncate on lesson_decision
    for each statement execute function leave_revision();
