-- Plants that somebody else raised: a consignment stands beside the seed lots, under the same numbers, so that every plant
-- on a note can be traced to one of them. It has no germination; the columns of the label hold what cannot be wrong.
alter table seed_lot
    add column kind text not null default 'SEED' check (kind in ('SEED', 'PLANTS')),
    add column price_each numeric(10, 4) check (price_each >= 0);

-- True leaves that the plants of a batch have when they arrive; missing where the batch is sown.
alter table batch add column leaves_on_arrival double precision check (leaves_on_arrival between 0 and 20);
