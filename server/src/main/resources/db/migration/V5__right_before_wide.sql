alter table grower_order
    -- Share that the grower takes as whole when it is missing.
    add column under double precision not null default 0.03 check (under between 0 and 0.5),
    -- What the number ordered counts: plants, or clumps that are never parted.
    add column counted_in text not null default 'PLANTS' check (counted_in in ('PLANTS', 'CLUMPS'));

-- Who sent a request, where to, and what was in it: another content under the same number is refused.
alter table request add column content text not null default '';

-- How often a batch's plan was changed; whoever changes it says which plan was seen.
alter table batch add column plan_version int not null default 0;
-- The version of the plan that a draft's change was made from.
alter table draft_part add column plan_version int not null default 0;

alter table nursery drop constraint nursery_latitude_check;
alter table nursery add constraint nursery_latitude_check check (latitude between -90 and 90);

-- Weather that was worked out for a nursery without a station; replaced by a station's file.
alter table station_day drop constraint station_day_source_check;
alter table station_day add constraint station_day_source_check check (source in ('STATION', 'FILE', 'ASSUMED'));
update station_day set source = 'ASSUMED' where source = 'STATION' and exists (select from nursery where not demo);

insert into rate (code, words, value) values
    ('seed_waste', 'Seed spilled or dropped twice, share', 0.05),
    ('mix_loss', 'Mix that shrinks when blended and wetted, or is spilled, share', 0.2),
    ('label_waste', 'Labels spoiled, share', 0.05);

-- What stood out on an evening that would not stand the night, who saw to it, and who looked for losses afterwards.
create table evening_done (
    day date not null,
    batch_id bigint not null references batch,
    what text not null check (what in ('BROUGHT_IN', 'COVERED', 'NONE_LOST')),
    done_by bigint references account,
    done_at timestamptz not null default now(),
    primary key (day, batch_id, what)
);
