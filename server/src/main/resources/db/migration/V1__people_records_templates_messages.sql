-- Written for what H2 and PostgreSQL share. Identifiers are random 128-bit values made by the application.

-- Our own company: one row.
create table house (
  id        integer primary key check (id = 1),
  name      varchar(120) not null,
  domain    varchar(120) not null,
  phone     varchar(40),
  website   varchar(200),
  street    varchar(120),
  postcode  varchar(20),
  town      varchar(80),
  country   varchar(2) not null,
  language  varchar(5) not null,
  time_zone varchar(60) not null,
  currency  varchar(3) not null
);

create table colleague (
  id            uuid primary key,
  email         varchar(254) not null unique,
  first_name    varchar(80) not null,
  last_name     varchar(80) not null,
  role          varchar(20) not null check (role in ('AGENT', 'ASSISTANT', 'KEEPER', 'ADMINISTRATOR')),
  job_title     varchar(80),
  phone         varchar(40),
  signature     varchar(1000),
  password_hash varchar(120),
  active        boolean not null,
  -- Counts up when all sessions of theirs are to end.
  access        integer default 0 not null,
  created_at    timestamp(3) with time zone not null
);

-- Failed attempts to sign in; counted per address written in, so that guessing is slow whoever asks, and per network
-- address they came from, so that it is slow for whoever tries many addresses.
create table failed_sign_in (
  email  varchar(254) not null,
  source varchar(45) not null,
  at     timestamp(3) with time zone not null
);
create index failed_sign_in_email on failed_sign_in (email, at);
create index failed_sign_in_source on failed_sign_in (source, at);
create index failed_sign_in_at on failed_sign_in (at);

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
  primary key (kind, name)
);

create table field_choice (
  kind       varchar(20) not null,
  field_name varchar(60) not null,
  code       varchar(60) not null,
  label      varchar(80) not null,
  position   integer not null,
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
  owner_id   uuid references colleague (id),
  created_at timestamp(3) with time zone not null,
  version    integer not null
);
create index organisation_name on organisation (name);

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
  owner_id        uuid references colleague (id),
  created_at      timestamp(3) with time zone not null,
  version         integer not null
);
create index contact_name on contact (last_name, first_name, id);
create index contact_organisation on contact (organisation_id);

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
  owner_id   uuid references colleague (id),
  created_at timestamp(3) with time zone not null,
  version    integer not null
);
create index lead_name on lead (last_name, first_name, id);

create table deal (
  id              uuid primary key,
  organisation_id uuid references organisation (id),
  name            varchar(160) not null,
  stage           varchar(20) not null,
  amount          decimal(14, 2),
  amount_currency varchar(3),
  closes_on       date,
  owner_id        uuid references colleague (id),
  created_at      timestamp(3) with time zone not null,
  version         integer not null
);
create index deal_organisation on deal (organisation_id);
create index deal_name on deal (name, id);

create table deal_contact (
  deal_id    uuid not null references deal (id),
  contact_id uuid not null references contact (id),
  role       varchar(60) not null,
  is_main    boolean not null,
  primary key (deal_id, contact_id)
);
create index deal_contact_contact on deal_contact (contact_id);

create table deal_line (
  id       uuid primary key,
  deal_id  uuid not null references deal (id),
  position integer not null,
  block    varchar(120) not null,
  crop     varchar(60),
  hives    integer not null,
  weeks    integer not null,
  rate     decimal(10, 2) not null
);
create index deal_line_deal on deal_line (deal_id, position);

create table document (
  id       uuid primary key,
  deal_id  uuid not null references deal (id),
  name     varchar(160) not null,
  link     varchar(400),
  state    varchar(20) not null check (state in ('DRAFT', 'SENT', 'SIGNED', 'WITHDRAWN')),
  state_on date not null
);
create index document_deal on document (deal_id);

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

create table field_value (
  kind         varchar(20) not null,
  record_id    uuid not null,
  field_name   varchar(60) not null,
  text_value   varchar(4000),
  number_value decimal(20, 6),
  date_value   date,
  primary key (record_id, field_name)
);

create table template (
  id           uuid primary key,
  name         varchar(120) not null,
  purpose      varchar(60),
  about        varchar(20) not null,
  subject      varchar(500) not null,
  preview_text varchar(500) not null,
  body         varchar(200000) not null,
  version      integer not null,
  owner_id     uuid not null references colleague (id),
  created_at   timestamp(3) with time zone not null,
  changed_at   timestamp(3) with time zone not null,
  changed_by   uuid not null references colleague (id),
  deleted_at   timestamp(3) with time zone
);
create index template_name on template (deleted_at, name);

-- What a template said when it was used, so that a sent message can always point at it.
create table template_version (
  template_id  uuid not null references template (id),
  version      integer not null,
  name         varchar(120) not null,
  subject      varchar(500) not null,
  preview_text varchar(500) not null,
  body         varchar(200000) not null,
  kept_at      timestamp(3) with time zone not null,
  primary key (template_id, version)
);

create table outgoing_message (
  id               uuid primary key,
  message_id       varchar(200) not null unique,
  template_id      uuid references template (id),
  template_version integer,
  written_by       uuid not null references colleague (id),
  sender_id        uuid not null references colleague (id),
  person_kind      varchar(20) not null,
  person_id        uuid not null,
  deal_id          uuid references deal (id),
  to_address       varchar(254) not null,
  from_address     varchar(254) not null,
  subject          varchar(1000) not null,
  preview_text     varchar(1000) not null,
  body             varchar(400000) not null,
  pieces           varchar(1000000) not null,
  source           varbinary(2000000) not null,
  state            varchar(20) not null check (state in ('WAITING', 'SENDING', 'SENT', 'NOT_SURE', 'REFUSED', 'CANCELLED')),
  attempts         integer not null,
  -- Attempts less those that somebody asked for out of turn: so many and no more are made.
  tries            integer default 0 not null,
  by_hand          boolean default false not null,
  next_attempt_at  timestamp(3) with time zone,
  last_answer      varchar(4000),
  maybe_repeated   boolean not null,
  created_at       timestamp(3) with time zone not null,
  sent_at          timestamp(3) with time zone
);
create index outgoing_message_state on outgoing_message (state, created_at);
create index outgoing_message_person on outgoing_message (person_id, created_at);
create index outgoing_message_deal on outgoing_message (deal_id, created_at);
create index outgoing_message_template on outgoing_message (template_id, created_at);

create table message_attempt (
  message_id uuid not null references outgoing_message (id),
  number     integer not null,
  at         timestamp(3) with time zone not null,
  outcome    varchar(20) not null,
  answer     varchar(4000),
  primary key (message_id, number)
);

-- Calls, notes and answers that came by another way. Messages are read from outgoing_message.
create table history_entry (
  id          uuid primary key,
  kind        varchar(20) not null check (kind in ('CALL', 'NOTE', 'ANSWERED_ELSEWHERE')),
  record_kind varchar(20) not null,
  record_id   uuid not null,
  deal_id     uuid,
  at          timestamp(3) with time zone not null,
  by_id       uuid not null references colleague (id),
  minutes     integer,
  words       varchar(4000) not null
);
create index history_entry_record on history_entry (record_id, at);
create index history_entry_deal on history_entry (deal_id, at);

-- What the practice post has received, for its made-up recipients to read.
create table practice_letter (
  id         bigint generated by default as identity primary key,
  arrived_at timestamp(3) with time zone not null,
  to_address varchar(254) not null,
  source     varbinary(2000000) not null
);
create index practice_letter_address on practice_letter (to_address, id);

-- db-scheduler's own table, as its documentation asks for.
create table scheduled_tasks (
  task_name            varchar(100) not null,
  task_instance        varchar(100) not null,
  task_data            varbinary(100000),
  execution_time       timestamp(6) with time zone not null,
  picked               boolean not null,
  picked_by            varchar(50),
  last_success         timestamp(6) with time zone,
  last_failure         timestamp(6) with time zone,
  consecutive_failures integer,
  last_heartbeat       timestamp(6) with time zone,
  version              bigint not null,
  priority             smallint,
  state                varchar(20),
  primary key (task_name, task_instance)
);
create index scheduled_tasks_execution_time on scheduled_tasks (execution_time);
create index scheduled_tasks_last_heartbeat on scheduled_tasks (last_heartbeat);
