-- What growers ask for, and what they are answered. Nothing changes until the propagator says yes.
create table grower_request (
    number int generated always as identity primary key,
    grower_id bigint not null references grower,
    line_id bigint references order_line,
    batch int,
    kind text not null check (kind in ('ACCEPT', 'LATER', 'FEWER', 'CANCEL', 'WANT')),
    target date,
    plants int check (plants > 0),
    words text not null default '',
    asked_on date not null,
    asked_by bigint not null references account,
    state text not null check (state in ('OPEN', 'GRANTED', 'DECLINED')),
    answer text not null default '',
    answered_on date,
    answered_by bigint references account,
    check ((kind = 'WANT') = (line_id is null))
);

create index grower_request_open on grower_request (state) where state = 'OPEN';

-- What became of plants after they were handed over, as the grower tells it.
create table grower_loss (
    number int generated always as identity primary key,
    release int not null references release (number),
    line_id bigint not null references order_line,
    plants int not null check (plants > 0),
    reason text not null,
    words text not null default '',
    photograph bytea,
    reported_on date not null,
    reported_by bigint not null references account,
    replaced int not null default 0 check (replaced >= 0 and replaced <= plants)
);

create trigger grower_request_revision after insert or update or delete or truncate on grower_request
    for each statement execute function leave_revision();
create trigger grower_loss_revision after insert or update or delete or truncate on grower_loss
    for each statement execute function leave_revision();
