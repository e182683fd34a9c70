-- A few plants were looked at closely: their leaves were counted, or their roots seen.
alter table batch_change drop constraint batch_change_kind_check;
alter table batch_change add constraint batch_change_kind_check check (kind in (
    'Sown', 'BroughtIn', 'LeftUnsown', 'Counted', 'Lost', 'Mixed', 'Recognised', 'PottedOn', 'CellsMoved', 'Thinned', 'PrickedOut', 'Moved', 'HardeningStarted',
    'HardenedForDay', 'HardeningEnded', 'Released', 'Noted', 'LookedOver', 'Corrected'));
