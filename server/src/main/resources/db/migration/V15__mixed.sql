-- Plants of which nobody is sure any more what they are, until somebody knows again. Nothing recorded so far put a name
-- into doubt.
alter table batch_cells add column mixed boolean not null default false;

-- A kind that this version does not know never comes into the record.
alter table batch_change drop constraint batch_change_kind_check;
alter table batch_change add constraint batch_change_kind_check check (kind in (
    'Sown', 'BroughtIn', 'LeftUnsown', 'Counted', 'Lost', 'Mixed', 'Recognised', 'PottedOn', 'Moved', 'HardeningStarted',
    'HardenedForDay', 'HardeningEnded', 'Released', 'Corrected'));
