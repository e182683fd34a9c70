-- What came up of a cell's own seed stays known when it is thinned, or a seedling of another cell is pricked out into it.
alter table batch_cells add column came_up int check (came_up >= 0);
update batch_cells set came_up = seedlings;
alter table batch_cells alter column came_up set not null;

alter table batch_change drop constraint batch_change_kind_check;
alter table batch_change add constraint batch_change_kind_check check (kind in (
    'Sown', 'BroughtIn', 'LeftUnsown', 'Counted', 'Lost', 'Mixed', 'Recognised', 'PottedOn', 'CellsMoved', 'Thinned', 'PrickedOut', 'Moved', 'HardeningStarted',
    'HardenedForDay', 'HardeningEnded', 'Released', 'Corrected'));
