-- Where growers ring; stands on what goes out with plants.
alter table nursery add column telephone text not null default '' check (length(telephone) <= 40);
