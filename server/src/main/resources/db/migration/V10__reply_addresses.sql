-- Where answers to a colleague's messages go, when that is not the address they come from.
create table reply_address (
  colleague_id uuid primary key references colleague (id),
  address      varchar(254) not null
);
