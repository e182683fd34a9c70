-- What was seen on a sample before a line's plants went, and what the site's weather asked of whoever plants them.
create table release_look (
    release int not null references release (number),
    line_id bigint not null references order_line,
    sample int not null check (sample >= 0),
    held text[] not null,
    advice jsonb not null,
    primary key (release, line_id)
);

create trigger release_look_revision after insert or update or delete or truncate on release_look
    for each statement execute function leave_revision();
