-- Growers ask for the like of a line again and again: so many times, so many weeks apart, from a day on.
alter table grower_request drop constraint grower_request_kind_check;
alter table grower_request
    add constraint grower_request_kind_check check (kind in ('ACCEPT', 'LATER', 'FEWER', 'CANCEL', 'WANT', 'AGAIN'));
alter table grower_request add column times int check (times between 1 and 30);
alter table grower_request add column weeks_apart int check (weeks_apart between 1 and 26);
alter table grower_request add check ((kind = 'AGAIN') = (times is not null and weeks_apart is not null));
