-- Passages and designed signatures are written on the same desk as templates, and kept like them.
alter table template add column kind varchar(12) default 'TEMPLATE' not null;
create index template_kind on template (kind, name, id);

-- Whose designed signature is which: of one colleague, or of everybody who has chosen none ('team').
create table signature_choice (
  for_whom    varchar(40) primary key,
  template_id uuid not null references template (id)
);

insert into revision (name, number) values ('kept-texts', 1);

-- Templates that say the same in several languages; the root, whose list line stands for all, is one of them.
create table template_variant (
  template_id uuid primary key references template (id),
  root_id     uuid not null references template (id),
  language    varchar(8) not null
);
create index template_variant_root on template_variant (root_id, language);

-- Feeds as they were read last: from a file, or from an address that an administrator has entered.
create table feed (
  id       uuid primary key,
  name     varchar(120) not null unique,
  address  varchar(500),
  xml      character large object(4000000) not null,
  read_at  timestamp(3) with time zone not null,
  added_by uuid not null references colleague (id)
);

insert into revision (name, number) values ('feeds', 1);
