-- Where a mix is fed otherwise than the rest of the nursery.
create table feeding_of_recipe (
    recipe text primary key references recipe,
    school text not null check (school in ('BY_RESERVE', 'FROM_EMERGENCE', 'BEFORE_PLANTING', 'NEVER'))
);
