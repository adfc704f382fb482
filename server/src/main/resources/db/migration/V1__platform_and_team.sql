-- Written for what H2 and PostgreSQL share. Identifiers are random 128-bit values made by the application. A reference stands
-- behind the index on just its column where there is one, so that H2 makes no second one of its own.

-- Counts changes of what is read often and changed seldom, so that what was read can be kept until the next change.
create table revision (
  name   varchar(40) primary key,
  number integer not null
);

insert into revision (name, number) values
  ('holidays', 1), ('salutations', 1), ('records', 1), ('house-styles', 1), ('kept-texts', 1), ('feeds', 1),
  ('templates', 1), ('sources', 1), ('previews', 1);

-- Bytes that several things may hold, once each, by what they are.
create table content (
  hash  varchar(64) primary key,
  bytes varbinary(40000000) not null
);

-- A message as it is on the wire (RFC 5322): its lines packed, and where the contents go that were taken out of it.
create table kept_source (
  id     uuid primary key,
  size   integer not null,
  packed varbinary(40000000) not null
);
create table kept_source_content (
  source_id uuid not null references kept_source (id) on delete cascade,
  position  integer not null,
  at        integer not null,
  hash      varchar(64) not null,
  primary key (source_id, position)
);
create index kept_source_content_hash on kept_source_content (hash);
alter table kept_source_content add foreign key (hash) references content (hash);

-- The words that something is found by, folded: lower case, without accents. Whoever keeps a thing keeps its words.
create table search_word (
  scope varchar(20) not null,
  word  varchar(60) not null,
  id    uuid not null,
  primary key (scope, word, id)
);

-- The same words once more, all of a thing in one row, each behind a space: what it is asked whether it has them too.
create table search_entry (
  id    uuid primary key,
  words varchar(200000) not null
);

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
  currency  varchar(3) not null,
  counts_reading boolean default false not null,
  -- Where readers of messages reach us; none as long as nobody has said so.
  public_address varchar(200)
);

-- Steps of the first hour that are passed over.
create table skipped_step (
  step varchar(20) primary key
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
  -- How long their messages wait before they leave; none where they have not chosen.
  take_back_seconds integer,
  -- Whether colleagues may write in their name to the records they own.
  in_my_name    boolean default false not null,
  -- Whether they let colleagues send mailings in their name, to whomever these choose.
  mailings_in_my_name boolean default false not null,
  created_at    timestamp(3) with time zone not null
);

-- Teams that folders are shared with. Somebody can be in several.
create table team (
  id   uuid primary key,
  name varchar(60) not null
);

create table team_member (
  team_id      uuid not null references team (id) on delete cascade,
  colleague_id uuid not null references colleague (id),
  primary key (team_id, colleague_id)
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

-- Where answers to a colleague's messages go, when that is not the address they come from.
create table reply_address (
  colleague_id uuid primary key references colleague (id),
  address      varchar(254) not null
);

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
