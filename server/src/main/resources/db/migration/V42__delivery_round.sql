-- The order in which sites are driven to; what is not in it comes last, from the lowest to the highest.
create table delivery_stop (
    site_id bigint primary key references site,
    stop int not null unique check (stop > 0)
);

create trigger delivery_stop_revision after insert or update or delete or truncate on delivery_stop
    for each statement execute function leave_revision();
