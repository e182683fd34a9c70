-- How each person is spoken to. Everything else is kept in British English, degrees Celsius, millimetres, litres, grams.
alter table account
    add column language text not null default 'BRITISH' check (language in ('BRITISH', 'AMERICAN', 'STRETCHED')),
    add column temperature text not null default 'CELSIUS' check (temperature in ('CELSIUS', 'FAHRENHEIT')),
    add column length text not null default 'MILLIMETRES' check (length in ('MILLIMETRES', 'INCHES')),
    add column volume text not null default 'LITRES' check (volume in ('LITRES', 'GALLONS')),
    add column mass text not null default 'GRAMS' check (mass in ('GRAMS', 'OUNCES'));

-- What a change of the plan was is a message and its parts, so that it is told in any language. Rows without parts were
-- written down before that, as whole sentences.
alter table plan_change add column parts jsonb;
