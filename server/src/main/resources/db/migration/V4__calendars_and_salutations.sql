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
