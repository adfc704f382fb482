-- How the messages of the house look. The look itself is versioned JSON, see docs/house-style.schema.json.
create table house_style (
  id         uuid primary key,
  name       varchar(60) not null,
  look       varchar(1000000) not null,
  usual      boolean not null,
  version    integer not null,
  changed_at timestamp(3) with time zone not null,
  changed_by uuid references colleague (id)
);

create unique index house_style_name on house_style (name);

-- Who may change a house style besides keepers and administrators.
create table house_style_named (
  house_style_id uuid not null references house_style (id) on delete cascade,
  colleague_id   uuid not null references colleague (id),
  primary key (house_style_id, colleague_id)
);

-- Pictures of the library, as they were brought in.
create table picture (
  id          uuid primary key,
  name        varchar(120) not null,
  description varchar(300) not null,
  -- What sort of picture it is, in a word of the house's own.
  category    varchar(60) default '' not null,
  media_type  varchar(40) not null,
  width       integer not null,
  height      integer not null,
  -- A moving one is shown as it is, since a copy of it would stand still.
  moving      boolean not null,
  size        integer not null,
  content     varchar(64) not null references content (hash),
  added_by    uuid not null references colleague (id),
  added_at    timestamp(3) with time zone not null,
  -- Whether it is in Materials for everybody; else it is that of one record, or kept aside.
  shared      boolean not null,
  -- Of one that is kept aside until a template shows it: how long.
  kept_until  timestamp(3) with time zone
);
create index picture_kept_until on picture (kept_until);

create index picture_name on picture (shared, name, id);

-- The pictures of records: a portrait, a logo, that of a deal; of colleagues too.
create table record_picture (
  kind       varchar(20) not null,
  record_id  uuid not null,
  picture_id uuid not null references picture (id),
  primary key (kind, record_id)
);

-- Files that go along with messages.
create table kept_file (
  id         uuid primary key,
  name       varchar(160) not null,
  media_type varchar(120) not null,
  size       integer not null,
  content    varchar(64) not null references content (hash),
  added_by   uuid not null references colleague (id),
  added_at   timestamp(3) with time zone not null,
  -- Whether it is in Materials for everybody; else it belongs to one message or to a deal's document.
  shared     boolean not null
);

create index kept_file_name on kept_file (shared, name, id);

-- Feeds as they were read last: from a file, or from an address that an administrator has entered.
create table feed (
  id       uuid primary key,
  name     varchar(120) not null unique,
  address  varchar(500),
  xml      character large object(4000000) not null,
  read_at  timestamp(3) with time zone not null,
  added_by uuid not null references colleague (id)
);

-- Inboxes of the house that tests go to together, to be looked at in several mail programs.
create table test_inbox (
  address  varchar(254) primary key,
  position integer not null
);

insert into house_style (id, name, look, usual, version, changed_at)
values (random_uuid(), 'Plain', '{"version":1,"name":"Plain","space":16,"page":{"width":600,"background":"#ffffff","sheet":"#ffffff"},"type":{"text":"sans","headings":"sans","size":16,"colour":"#1d2530","headingColour":"#1d2530","linkColour":"#1c6b60"},"button":{"background":"#1c6b60","colour":"#ffffff","corner":3},"headers":[],"footers":[],"smallPrint":[]}', true, 1, current_timestamp);
