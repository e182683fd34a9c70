-- Pots and trays in the shed, in the one ledger of the store: single pots, whole trays of cells.
alter table stock_movement
    alter column litres drop not null,
    add column container text,
    add column pieces integer check (abs(pieces) <= 1000000),
    drop constraint stock_movement_kind_check,
    drop constraint stock_movement_check,
    drop constraint stock_movement_check1,
    drop constraint stock_movement_check2,
    drop constraint stock_movement_check3,
    add constraint stock_movement_kind_check check (kind in ('BOUGHT', 'BLENDED_IN', 'MADE', 'FILLED', 'COUNTED', 'SPOILED', 'POTTED')),
    add constraint stock_movement_of_one_thing check (num_nonnulls(ingredient_lot, mix_lot, container) = 1),
    add constraint stock_movement_measured check ((container is null) = (pieces is null) and (container is null) = (litres is not null)),
    add constraint stock_movement_blended check ((kind = 'BLENDED_IN') = (into_mix is not null)),
    add constraint stock_movement_with_batch check ((kind in ('FILLED', 'POTTED')) = (batch_id is not null)),
    add constraint stock_movement_potted check (kind <> 'POTTED' or container is not null);
create index on stock_movement (container);
create unique index stock_movement_potted_once on stock_movement (request) where kind = 'POTTED';
