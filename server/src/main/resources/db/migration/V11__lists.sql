-- Lists of records of one kind: live ones by a condition, fixed ones by hand. They lie in folders, whose rights are theirs.
create table record_list (
  id         uuid primary key,
  kind       varchar(20) not null,
  name       varchar(80) not null,
  -- In its written form; none for a fixed list.
  condition  varchar(10000),
  sorted_by  varchar(60) default '' not null,
  descending boolean default false not null,
  folder_id  uuid not null references folder (id),
  owner_id   uuid not null references colleague (id),
  version    integer default 1 not null,
  changed_at timestamp(3) with time zone not null,
  -- How many records a fixed list has; kept with them.
  members    integer default 0 not null,
  deleted_at timestamp(3) with time zone,
  -- A list whose records are left out, and a fixed one that all are on; neither is made of others itself.
  minus_id   uuid references record_list (id) on delete set null,
  base_id    uuid references record_list (id) on delete set null,
  -- A list of deals whose contacts it has, and what these are to the deals; empty for whatever.
  deals_id   uuid references record_list (id) on delete set null,
  deal_role  varchar(60) default '' not null
);
create index record_list_minus on record_list (minus_id);
create index record_list_base on record_list (base_id);
create index record_list_deals on record_list (deals_id);
create index record_list_kind on record_list (kind, name, id);
create index record_list_folder on record_list (folder_id);
create index record_list_deleted on record_list (deleted_at);

-- What a fixed list has.
create table record_list_member (
  list_id   uuid not null references record_list (id) on delete cascade,
  record_id uuid not null,
  by_id     uuid not null references colleague (id),
  at        timestamp(3) with time zone not null,
  primary key (list_id, record_id)
);

-- What was on a list when somebody looked at it last, so that they can be told what has changed.
create table record_list_look (
  list_id      uuid not null references record_list (id) on delete cascade,
  colleague_id uuid not null references colleague (id),
  at           timestamp(3) with time zone not null,
  members      varchar(200000) not null,
  primary key (list_id, colleague_id)
);

-- A field that was set for many records at once, and what each had before; kept for a day so that it can be taken back.
create table field_change (
  id         uuid primary key,
  kind       varchar(20) not null,
  field_name varchar(60) not null,
  by_id      uuid not null references colleague (id),
  at         timestamp(3) with time zone not null
);
create index field_change_at on field_change (at);

create table field_change_before (
  change_id uuid not null references field_change (id) on delete cascade,
  record_id uuid not null,
  before    varchar(20000) not null,
  after     varchar(20000) not null,
  primary key (change_id, record_id)
);
