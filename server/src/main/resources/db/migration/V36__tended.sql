-- Brushing, pinching and taking flowers off go into the record of plants.
alter table batch_change drop constraint batch_change_kind_check;
alter table batch_change add constraint batch_change_kind_check check (kind in (
    'Sown', 'BroughtIn', 'LeftUnsown', 'Counted', 'Lost', 'Mixed', 'Recognised', 'PottedOn', 'CellsMoved', 'Thinned', 'PrickedOut', 'Moved', 'HardeningStarted',
    'HardenedForDay', 'HardeningEnded', 'Released', 'Noted', 'LookedOver', 'Tended', 'Corrected'));
