-- Counts changes of the catalogue, so that what was read of it can be kept until the next one.
create table field_catalogue (
  revision integer not null
);

insert into field_catalogue (revision) values (1);

-- The field catalogue. A field without a column keeps its values in field_value.
create table field_definition (
  kind        varchar(20) not null,
  name        varchar(60) not null,
  label       varchar(80) not null,
  type        varchar(20) not null,
  column_name varchar(60),
  section     varchar(40) not null,
  position    integer not null,
  required    boolean not null,
  computed    boolean not null,
  most        integer not null,
  relation    varchar(20),
  -- A retired field keeps its values, and is offered nowhere. A field in_list is a column of its kind's list.
  retired_at  timestamp(3) with time zone,
  in_list     boolean default false not null,
  primary key (kind, name)
);

create table field_choice (
  kind       varchar(20) not null,
  field_name varchar(60) not null,
  code       varchar(60) not null,
  label      varchar(80) not null,
  position   integer not null,
  -- Of a deal's stage: whether deals in it are open, won or lost.
  outcome    varchar(4) check (outcome in ('OPEN', 'WON', 'LOST')),
  -- A retired choice stays with the records that have it, and is offered to no other.
  retired    boolean default false not null,
  -- Labels it had before, one a line: conditions that name one go on holding.
  earlier    varchar(2000),
  primary key (kind, field_name, code),
  foreign key (kind, field_name) references field_definition (kind, name)
);

create table organisation (
  id         uuid primary key,
  name       varchar(160) not null,
  phone      varchar(40),
  website    varchar(200),
  street     varchar(120),
  postcode   varchar(20),
  town       varchar(80),
  country    varchar(2),
  owner_id   uuid,
  created_at timestamp(3) with time zone not null,
  version    integer not null,
  -- How many contacts belong to it; kept with them.
  people     integer default 0 not null
);

create index organisation_owner on organisation (owner_id);
alter table organisation add foreign key (owner_id) references colleague (id);

create table contact (
  id              uuid primary key,
  organisation_id uuid references organisation (id),
  title           varchar(40),
  first_name      varchar(80),
  last_name       varchar(120) not null,
  job_title       varchar(80),
  phone           varchar(40),
  mobile          varchar(40),
  language        varchar(5),
  time_zone       varchar(60),
  formality       varchar(20),
  counting        varchar(20) default 'counted',
  permission      varchar(200),
  permission_on   date,
  owner_id        uuid,
  created_at      timestamp(3) with time zone not null,
  version         integer not null
);

create index contact_organisation on contact (organisation_id, last_name, first_name, id);
create index contact_owner on contact (owner_id);
alter table contact add foreign key (owner_id) references colleague (id);
create index contact_time_zone on contact (time_zone);

create table lead (
  id         uuid primary key,
  company    varchar(160),
  title      varchar(40),
  first_name varchar(80),
  last_name  varchar(120) not null,
  job_title  varchar(80),
  phone      varchar(40),
  language   varchar(5),
  time_zone  varchar(60),
  country    varchar(2),
  source     varchar(40),
  state      varchar(20) not null,
  formality  varchar(20),
  counting   varchar(20) default 'counted',
  permission varchar(200),
  permission_on date,
  owner_id   uuid,
  created_at timestamp(3) with time zone not null,
  version    integer not null
);

create index lead_owner on lead (owner_id);
alter table lead add foreign key (owner_id) references colleague (id);
create index lead_time_zone on lead (time_zone);

create table deal (
  id              uuid primary key,
  organisation_id uuid references organisation (id),
  name            varchar(160) not null,
  stage           varchar(20) not null,
  amount          decimal(14, 2),
  amount_currency varchar(3),
  closes_on       date,
  owner_id        uuid,
  created_at      timestamp(3) with time zone not null,
  version         integer not null
);

create index deal_organisation on deal (organisation_id, created_at desc, id);
create index deal_owner on deal (owner_id);
alter table deal add foreign key (owner_id) references colleague (id);

create table deal_contact (
  deal_id    uuid not null references deal (id),
  contact_id uuid not null,
  role       varchar(60) not null,
  is_main    boolean not null,
  primary key (deal_id, contact_id)
);

create index deal_contact_contact on deal_contact (contact_id);
alter table deal_contact add foreign key (contact_id) references contact (id);
create index deal_contact_main on deal_contact (is_main);

-- What contacts can be on a deal; more may be written in.
create table contact_role (
  label    varchar(60) primary key,
  position integer not null
);
insert into contact_role (label, position) values ('decides', 1), ('uses it', 2), ('advises', 3), ('pays the invoices', 4);

create table deal_line (
  id       uuid primary key,
  deal_id  uuid not null references deal (id),
  position integer not null,
  description varchar(200) not null,
  quantity decimal(14, 3) not null,
  unit     varchar(30) not null,
  -- Of one unit, in the currency of the deal.
  price    decimal(12, 2) not null,
  -- What is taken off a line, and the tax on what is left, in per cent.
  discount decimal(5, 2) default 0 not null,
  tax      decimal(5, 2) default 0 not null,
  note     varchar(300) not null
);

create index deal_line_deal on deal_line (deal_id, position);

create table document (
  id       uuid primary key,
  deal_id  uuid not null references deal (id),
  name     varchar(160) not null,
  link     varchar(400),
  -- The document itself, where it is kept here.
  file_id  uuid,
  state    varchar(20) not null check (state in ('DRAFT', 'SENT', 'SIGNED', 'WITHDRAWN')),
  state_on date not null
);

create index document_newest on document (deal_id, state_on);

-- A person's addresses; position 0 is written to first.
create table email_address (
  id        uuid primary key,
  kind      varchar(20) not null,
  person_id uuid not null,
  address   varchar(254) not null,
  label     varchar(40),
  position  integer not null
);

create index email_address_person on email_address (person_id, position);
-- Finds who shares an address.
create index email_address_address on email_address (address, position);

create table field_value (
  kind         varchar(20) not null,
  record_id    uuid not null,
  field_name   varchar(60) not null,
  text_value   varchar(4000),
  number_value decimal(20, 6),
  date_value   date,
  primary key (record_id, field_name)
);

create index field_value_field on field_value (kind, field_name);

-- Calls, notes and answers that came by another way. Messages are read from outgoing_message.
create table history_entry (
  id          uuid primary key,
  kind        varchar(20) not null check (kind in ('CALL', 'NOTE', 'ANSWERED_ELSEWHERE')),
  record_kind varchar(20) not null,
  record_id   uuid not null,
  deal_id     uuid,
  -- The organisation itself, or that of the person when it was noted.
  organisation_id uuid,
  at          timestamp(3) with time zone not null,
  by_id       uuid not null references colleague (id),
  minutes     integer,
  words       varchar(4000) not null
);

create index history_entry_record on history_entry (record_id, at desc, id);
create index history_entry_kind on history_entry (record_id, kind, at);
create index history_entry_deal on history_entry (deal_id, at desc, id);
create index history_entry_organisation on history_entry (organisation_id, at desc, id);

-- What was said to and heard from each person, summed up with what it sums up: one row a person, always there.
create table person_summary (
  person_id     uuid primary key,
  times_written integer not null,
  last_written  timestamp(3) with time zone,
  -- The last one that went to several people at once.
  last_to_several timestamp(3) with time zone,
  last_reply   timestamp(3) with time zone,
  last_called   timestamp(3) with time zone,
  last_opened   timestamp(3) with time zone,
  last_clicked  timestamp(3) with time zone,
  clicked_link  varchar(4000),
  unsubscribed  boolean not null,
  -- The newest of a contact's open deals.
  open_deal_id  uuid
);
create index person_summary_open_deal on person_summary (open_deal_id);
alter table person_summary add foreign key (open_deal_id) references deal (id);

-- Where each record stands in its kind's list, for each column it can be sorted by. A place is a text that sorts like the
-- list: what the column holds, then the name, then the identifier; it begins with 1 where the column holds nothing.
create table record_place (
  kind      varchar(20) not null,
  sorted_by varchar(60) not null,
  place     varchar(240) not null,
  primary key (kind, sorted_by, place)
);

-- The same places once more, all of a record in one row: a line for each column, its name, a tab and the place. Whoever
-- changes places locks this row first.
create table record_standing (
  record_id uuid primary key,
  places    varchar(200000) not null
);

-- Records whose words and places have to be made anew because something they name has changed: all that belong to
-- cause_id, or all of a kind where that is null; those up to done are made already.
create table record_renewal (
  id       uuid primary key,
  kind     varchar(20) not null,
  cause    varchar(20) not null check (cause in ('ORGANISATION', 'COLLEAGUE', 'KIND')),
  cause_id uuid,
  done     uuid
);

-- What the house says of itself, when it was last true, and after how many months somebody should look at it again (null for
-- never). Its name, label and type stand in field_definition.
create table house_fact (
  name   varchar(60) primary key,
  said   varchar(1000) not null,
  as_of  date not null,
  months integer check (months between 1 and 120)
);

-- The columns a colleague has chosen for the list of a kind: their names in order, parted by commas.
create table list_column (
  colleague_id uuid not null references colleague (id),
  kind         varchar(20) not null,
  columns      varchar(2000) not null,
  primary key (colleague_id, kind)
);
