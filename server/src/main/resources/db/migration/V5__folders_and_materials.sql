-- Folders of templates, passages, signatures, materials and lists. One that has no owner is the company's; what is personal is where its owner's
-- new templates go. Its place counts the folders in the order they are read in.
create table folder (
  id         uuid primary key,
  parent_id  uuid references folder (id),
  name       varchar(80) not null,
  owner_id   uuid references colleague (id),
  personal   boolean default false not null,
  -- Whether it has shares of its own, rather than those of the folder it is in.
  shared     boolean default false not null,
  place      integer default 0 not null,
  -- Whose personal folder it is, or lies in; kept with the folders.
  whose_id   uuid references colleague (id)
);
create index folder_parent on folder (parent_id);

-- Who may do what in a folder; the identifier is that of a team or colleague, and the role is one for those that are shared
-- with a role.
create table folder_share (
  folder_id    uuid not null references folder (id) on delete cascade,
  position     integer not null,
  shared_with  varchar(10) not null check (shared_with in ('EVERYBODY', 'ROLE', 'TEAM', 'COLLEAGUE')),
  role         varchar(20),
  team_id      uuid references team (id) on delete cascade,
  colleague_id uuid references colleague (id),
  may          varchar(10) not null check (may in ('USE', 'CHANGE', 'MANAGE')),
  primary key (folder_id, position)
);

-- What each colleague may do in each folder, kept with the folders, shares and teams so that lists only look it up: 1 use,
-- 2 change, 3 manage.
create table folder_access (
  folder_id    uuid not null references folder (id) on delete cascade,
  colleague_id uuid not null references colleague (id),
  may          tinyint not null,
  primary key (folder_id, colleague_id)
);
create index folder_access_colleague on folder_access (colleague_id, folder_id);

-- The folder that everybody may use from the first day on.
insert into folder (id, name, shared, place) values ('00000000-0000-0000-0000-000000000001', 'Everyone', true, 0);
insert into folder_share (folder_id, position, shared_with, role, may) values
  ('00000000-0000-0000-0000-000000000001', 1, 'EVERYBODY', null, 'USE'),
  ('00000000-0000-0000-0000-000000000001', 2, 'ROLE', 'KEEPER', 'MANAGE');

-- How the messages of the house look. The look itself is versioned JSON, see docs/house-style.schema.json.
create table house_style (
  id         uuid primary key,
  name       varchar(60) not null,
  look       varchar(1000000) not null,
  usual      boolean not null,
  version    integer not null,
  changed_at timestamp(3) with time zone not null,
  changed_by uuid references colleague (id),
  folder_id  uuid not null references folder (id),
  -- Who made it; none for the one that everybody begins with.
  owner_id   uuid references colleague (id)
);

create unique index house_style_name on house_style (folder_id, name);

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
  -- Where it is in Materials; none for that of one record, and for one that is kept aside.
  folder_id   uuid references folder (id),
  -- Of one that is kept aside until a template shows it: how long.
  kept_until  timestamp(3) with time zone
);
create index picture_kept_until on picture (kept_until);

create index picture_folder on picture (folder_id);
create index picture_name on picture (name, id);

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
  -- Where it is in Materials; none for one that belongs to one message or to a deal's document.
  folder_id  uuid references folder (id)
);

create index kept_file_folder on kept_file (folder_id);
create index kept_file_name on kept_file (name, id);

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

insert into house_style (id, name, look, usual, version, changed_at, folder_id)
values (random_uuid(), 'Plain', '{"version":1,"name":"Plain","space":16,"page":{"width":600,"background":"#ffffff","sheet":"#ffffff"},"type":{"text":"sans","headings":"sans","size":16,"colour":"#1d2530","headingColour":"#1d2530","linkColour":"#1c6b60"},"button":{"background":"#1c6b60","colour":"#ffffff","corner":3},"headers":[],"footers":[],"smallPrint":[]}', true, 1, current_timestamp, '00000000-0000-0000-0000-000000000001');
