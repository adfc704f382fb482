-- Counts changes of what is read often and changed seldom, so that what was read can be kept until the next change.
create table revision (
  name   varchar(40) primary key,
  number integer not null
);
insert into revision (name, number) values ('holidays', 1), ('salutations', 1), ('records', 1);

-- A retired field keeps its values, and is offered nowhere. A field in_list is a column of its kind's ledger.
alter table field_definition add column retired_at timestamp(3) with time zone;
alter table field_definition add column in_list boolean default false not null;

alter table contact add column formality varchar(20);
alter table lead add column formality varchar(20);

insert into field_definition (kind, name, label, type, column_name, section, position, required, computed, most, relation) values
  ('contact', 'formality',      'Addressed',    'CHOICE',    'formality',     'Facts', 13, false, false, 20, null),
  ('lead',    'formality',      'Addressed',    'CHOICE',    'formality',     'Facts', 14, false, false, 20, null),
  ('lead',    'country',        'Country',      'CHOICE',    'country',       'Facts', 15, false, false, 2, null),
  ('person',  'salutation',     'Salutation',   'TEXT',      null,            'Facts',  0, false, true,  300, null),

  ('document', 'name',          'Document',     'TEXT',      'name',          'Facts',  1, true,  true,  160, null),
  ('document', 'link',          'Document link', 'LINK',     'link',          'Facts',  2, false, true,  400, null),
  ('document', 'state',         'Document state', 'CHOICE',  'state',         'Facts',  3, true,  true,  20, null),
  ('document', 'state_on',      'Document since', 'DATE',    'state_on',      'Facts',  4, true,  true,  10, null),

  ('history', 'last_written',   'Last written to', 'DATE_TIME', null,          'Facts',  1, false, true,  40, null),
  ('history', 'times_written',  'Times written to', 'NUMBER', null,           'Facts',  2, false, true,  10, null),
  ('history', 'last_answer',    'Last answer',  'DATE_TIME', null,            'Facts',  3, false, true,  40, null),
  ('history', 'answered',       'Has answered', 'YES_NO',    null,            'Facts',  4, false, true,  3, null),
  ('history', 'last_called',    'Last call',    'DATE_TIME', null,            'Facts',  5, false, true,  40, null);

insert into field_choice (kind, field_name, code, label, position) values
  ('contact', 'formality', 'formal', 'formally', 1), ('contact', 'formality', 'familiar', 'by first name', 2),
  ('lead', 'formality', 'formal', 'formally', 1), ('lead', 'formality', 'familiar', 'by first name', 2),
  ('document', 'state', 'DRAFT', 'draft', 1), ('document', 'state', 'SENT', 'sent', 2),
  ('document', 'state', 'SIGNED', 'signed', 3), ('document', 'state', 'WITHDRAWN', 'withdrawn', 4);
insert into field_choice (kind, field_name, code, label, position)
select 'lead', 'country', code, label, position from field_choice where kind = 'organisation' and field_name = 'country';

-- Days on which nobody works, by country. Filled from the holidays that ship, then the house's to change.
create table holiday (
  country  varchar(2) not null,
  position integer not null,
  name     varchar(80) not null,
  rule     varchar(60) not null,
  primary key (country, position)
);

-- How people are greeted, by language; the first rule that fits is taken.
create table salutation_language (
  language varchar(5) primary key,
  usual    varchar(20) not null check (usual in ('FORMAL', 'FAMILIAR'))
);
create table salutation_rule (
  language  varchar(5) not null references salutation_language (language),
  position  integer not null,
  formality varchar(20) not null check (formality in ('FORMAL', 'FAMILIAR')),
  titles    varchar(200) not null,
  opening   varchar(80) not null,
  address   varchar(200) not null,
  primary key (language, position)
);
insert into salutation_language (language, usual) values ('en', 'FAMILIAR'), ('de', 'FORMAL'), ('fr', 'FORMAL');
insert into salutation_rule (language, position, formality, titles, opening, address) values
  ('en', 1, 'FORMAL',   'Ms, Mrs, Miss, Mr, Mx, Dr, Prof', 'Dear', '{person.title} {person.last_name as name}'),
  ('en', 2, 'FORMAL',   '', 'Dear', '{person.first_name as name} {person.last_name as name}'),
  ('en', 3, 'FORMAL',   '', 'Good day', ''),
  ('en', 4, 'FAMILIAR', '', 'Dear', '{person.first_name as name}'),
  ('en', 5, 'FAMILIAR', 'Ms, Mrs, Miss, Mr, Mx, Dr, Prof', 'Dear', '{person.title} {person.last_name as name}'),
  ('en', 6, 'FAMILIAR', '', 'Good day', ''),
  ('de', 1, 'FORMAL',   'Frau', 'Sehr geehrte Frau', '{person.last_name as name}'),
  ('de', 2, 'FORMAL',   'Herr', 'Sehr geehrter Herr', '{person.last_name as name}'),
  ('de', 3, 'FORMAL',   'Frau Dr., Dr. Frau', 'Sehr geehrte Frau Dr.', '{person.last_name as name}'),
  ('de', 4, 'FORMAL',   'Herr Dr., Dr. Herr', 'Sehr geehrter Herr Dr.', '{person.last_name as name}'),
  ('de', 5, 'FORMAL',   '', 'Guten Tag', '{person.first_name as name} {person.last_name as name}'),
  ('de', 6, 'FORMAL',   '', 'Guten Tag', ''),
  ('de', 7, 'FAMILIAR', '', 'Hallo', '{person.first_name as name}'),
  ('de', 8, 'FAMILIAR', '', 'Guten Tag', ''),
  ('fr', 1, 'FORMAL',   'Mme, Madame', 'Madame', ''),
  ('fr', 2, 'FORMAL',   'M., Monsieur', 'Monsieur', ''),
  ('fr', 3, 'FORMAL',   '', 'Bonjour', '{person.first_name as name} {person.last_name as name}'),
  ('fr', 4, 'FORMAL',   '', 'Bonjour', ''),
  ('fr', 5, 'FAMILIAR', '', 'Bonjour', '{person.first_name as name}'),
  ('fr', 6, 'FAMILIAR', '', 'Bonjour', '');

-- What the house says of itself, and since when it has been so. Its name, label and type stand in field_definition.
create table house_fact (
  name  varchar(60) primary key,
  said  varchar(1000) not null,
  as_of date not null
);

-- Finds who shares an address.
create index email_address_address on email_address (address, position);
-- Finds the newest of a deal's documents, and what was said last.
create index document_newest on document (deal_id, state_on);
create index history_entry_kind on history_entry (record_id, kind, at);
create index field_value_field on field_value (kind, field_name);
