-- Addresses and domains that get no messages; found by their key, and listed in its order.
create table do_not_email (
  entry        varchar(254) primary key,
  whole_domain boolean not null,
  reason       varchar(200) not null,
  added_by     uuid not null references colleague (id),
  added_at     timestamp(3) with time zone not null
);
