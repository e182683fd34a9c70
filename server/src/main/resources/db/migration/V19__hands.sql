-- How long hands take for what is not sowing or potting.
insert into rate (code, words, value) values
    ('seconds_to_count', 'Counting a cell, seconds', 1),
    ('seconds_to_carry', 'Carrying a tray, seconds', 45),
    ('seconds_to_look', 'Looking at a batch, seconds', 120);

-- Minutes of all hands together on a day of the week, 1 for Monday to 7 for Sunday.
create table hands (
    weekday smallint primary key check (weekday between 1 and 7),
    minutes int not null check (minutes between 0 and 14400)
);
insert into hands (weekday, minutes) values (1, 480), (2, 480), (3, 480), (4, 480), (5, 480), (6, 240), (7, 60);

-- A day on which it is otherwise.
create table hands_on_day (
    day date primary key,
    minutes int not null check (minutes between 0 and 14400)
);

-- What was noted of a task of the round: who is to do it, that it was ticked off on a day, until when it was put off.
create table task_mark (
    batch_id bigint not null references batch,
    kind text not null,
    handed_to bigint references account,
    done_on date,
    -- Put off is what falls on a day from the one to before the other.
    put_off_from date,
    put_off_until date check (put_off_until > put_off_from),
    marked_by bigint references account,
    marked_at timestamptz not null default now(),
    primary key (batch_id, kind)
);
