-- A code by which somebody chooses a new password, once; only its digest is kept.
create table account_reset (
    account_id bigint primary key references account,
    code_digest text not null unique,
    until timestamptz not null
);
