-- Inboxes of the house that tests go to together, to be looked at in several mail programs.
create table test_inbox (
  address  varchar(254) primary key,
  position integer not null
);
