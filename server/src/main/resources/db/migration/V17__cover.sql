-- What a line's plants will stand under where the grower said so; else what the site has.
alter table order_line add column protection text
    check (protection in ('OPEN_GROUND', 'LOW_COVER', 'UNHEATED_TUNNEL'));
