-- Trials: ways of doing one thing, the cells that each got, and what people found of them.
create table trial (
    number int generated always as identity (start with 1) primary key,
    name text not null check (name <> ''),
    practice text not null,
    matters double precision not null check (matters > 0 and matters < 1),
    seed bigint not null,
    begun_on date not null,
    begun_by bigint references account
);

create table trial_way (
    trial int not null references trial,
    position int not null check (position >= 1),
    name text not null check (name <> ''),
    primary key (trial, position)
);

create table trial_cells (
    trial int not null,
    position int not null,
    batch_id bigint not null references batch,
    tray_id bigint not null references tray,
    first_cell int not null check (first_cell >= 1),
    last_cell int not null check (last_cell >= first_cell),
    foreign key (trial, position) references trial_way,
    exclude using gist (trial with =, tray_id with =, int4range(first_cell, last_cell, '[]') with &&)
);

-- What a hand graded or a grower told: of so many plants of a way so many did well.
create table trial_finding (
    request_id uuid primary key,
    trial int not null,
    position int not null,
    told_by text not null check (told_by in ('GRADE', 'GROWER')),
    well int not null check (well >= 0 and well <= of_plants),
    of_plants int not null check (of_plants >= 1),
    found_on date not null,
    found_by bigint references account,
    foreign key (trial, position) references trial_way
);
