-- A file somebody imports: how it is read, where its columns go, and what became of it. It is kept for a day.
create table import_file (
  id         uuid primary key,
  kind       varchar(20) not null,
  name       varchar(200) not null,
  cards      boolean not null,
  by_id      uuid not null references colleague (id),
  at         timestamp(3) with time zone not null,
  charset    varchar(40) not null,
  mark       integer not null,
  delimiter  varchar(1) not null,
  headings   integer not null,
  dates      varchar(20) not null,
  decimal_mark varchar(1) not null,
  -- A word for each column, a line each; nothing for those that are left out.
  targets    varchar(40000) not null,
  row_count  integer not null,
  -- Once it is imported: how many rows were added, changed records, were passed over, could not be taken.
  done_at    timestamp(3) with time zone,
  added      integer,
  updated    integer,
  skipped    integer,
  faulty     integer
);
create index import_file_at on import_file (at);

create table import_part (
  file_id  uuid not null references import_file (id) on delete cascade,
  position integer not null,
  bytes    varbinary(262144) not null,
  primary key (file_id, position)
);

-- Where columns with a heading went when they were imported last; nothing for those that were left out.
create table import_match (
  kind    varchar(20) not null,
  heading varchar(200) not null,
  target  varchar(80) not null,
  primary key (kind, heading)
);

-- What codes of other systems were said to mean in what was brought in: by their names alone, the path of a field.
create table other_code (
  code varchar(200) primary key,
  path varchar(200) not null
);
