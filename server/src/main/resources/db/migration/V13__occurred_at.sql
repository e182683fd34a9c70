-- The time of day at which something happened, where it is known, and the device on which it was entered, so that entries
-- of one day count in the order of the hands, whichever phone found a signal first.
alter table batch_change
    add column occurred_at time(0),
    add column device text check (length(device) between 1 and 40);
