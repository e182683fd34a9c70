-- What was forecast, once a week as long as it had not happened, to be held against what happened.
create table forecast_told (
    batch_id bigint not null references batch,
    matter text not null check (matter in ('EMERGENCE', 'LEAVES')),
    told_on date not null,
    early date not null,
    late date not null check (late >= early),
    primary key (batch_id, matter, told_on)
);

create table chance_told (
    line_id bigint not null references order_line,
    told_on date not null,
    chance double precision not null check (chance between 0 and 1),
    primary key (line_id, told_on)
);
