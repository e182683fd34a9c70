-- How the columns of a file with such headings were matched the last time, so that the next one of its kind is read the same way.
create table column_match (
    sheet text not null,
    headings text not null,
    sources jsonb not null,
    primary key (sheet, headings)
);
