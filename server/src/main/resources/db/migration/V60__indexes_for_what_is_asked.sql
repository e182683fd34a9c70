-- Asked for at every round, board and release, and read through whole tables until now.
create index batch_change_by_kind on batch_change (kind, occurred_on);
create index batch_by_target on batch (target);
create index order_line_by_target on order_line (target);
create index trial_cells_by_batch on trial_cells (batch_id);
create index grower_request_by_line on grower_request (line_id);
