-- What was sent to the label printer, as it was sent, so that it can be looked at and printed again.
create table label_job (
    number int generated always as identity primary key,
    request_id uuid not null unique,
    batches int[] not null,
    format text not null,
    document bytea not null,
    sent_on date not null,
    sent_by bigint references account,
    again_of int references label_job
);
