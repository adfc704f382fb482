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

-- Pictures of the library, as they were brought in.
create table picture (
  id          uuid primary key,
  name        varchar(120) not null,
  description varchar(300) not null,
  media_type  varchar(40) not null,
  width       integer not null,
  height      integer not null,
  content     varbinary(6000000) not null,
  added_by    uuid not null references colleague (id),
  added_at    timestamp(3) with time zone not null
);
create index picture_name on picture (name, id);

-- What a template is written as. The design is versioned JSON, see docs/body.schema.json; the body keeps its words.
alter table template add column mode varchar(20) default 'PLAIN' not null;
alter table template add column design varchar(2000000) default '' not null;
alter table template add column house_style_id uuid;
alter table template add column header varchar(60) default '' not null;
alter table template add column footer varchar(60) default '' not null;
alter table template add foreign key (house_style_id) references house_style (id);

alter table template_version add column mode varchar(20) default 'PLAIN' not null;
alter table template_version add column design varchar(2000000) default '' not null;

-- What is taken off a line, and the tax on what is left, in per cent.
alter table deal_line add column discount decimal(5, 2) default 0 not null;
alter table deal_line add column tax decimal(5, 2) default 0 not null;

insert into revision (name, number) values ('house-styles', 1);

insert into house_style (id, name, look, usual, version, changed_at)
values (random_uuid(), 'Plain', '{"version":1,"name":"Plain","space":16,"page":{"width":600,"background":"#ffffff","sheet":"#ffffff"},"type":{"text":"sans","headings":"sans","size":16,"colour":"#1d2530","headingColour":"#1d2530","linkColour":"#1c6b60"},"button":{"background":"#1c6b60","colour":"#ffffff","corner":3},"headers":[],"footers":[],"smallPrint":[]}', true, 1, current_timestamp);
