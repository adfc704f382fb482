-- What a reader can come back to: the message as a page, its links, and the way out of rounds.
create table message_page (
  message_id uuid primary key references outgoing_message (id) on delete cascade,
  reader_key varchar(24) not null unique,
  counted    boolean not null
);
create table message_link (
  message_id uuid not null references outgoing_message (id) on delete cascade,
  number     integer not null,
  address    varchar(4000) not null,
  primary key (message_id, number)
);

-- What became of messages. Of what a machine did the line stays, and counts for nothing.
create table delivery_event (
  id         uuid primary key,
  message_id uuid not null references outgoing_message (id) on delete cascade,
  person_id  uuid not null,
  kind       varchar(20) not null check (kind in ('OPENED', 'CLICKED', 'UNSUBSCRIBED', 'CAME_BACK')),
  at         timestamp(3) with time zone not null,
  address    varchar(4000),
  program    varchar(300) not null,
  ahead      boolean not null,
  by_machine boolean not null
);
create index delivery_event_person on delivery_event (person_id, kind, at);
create index delivery_event_message on delivery_event (message_id, at);

-- Who wants no rounds; a message of one's own may still go to them.
create table unsubscribed (
  person_id  uuid primary key,
  message_id uuid references outgoing_message (id) on delete set null,
  at         timestamp(3) with time zone not null
);

-- Nothing is counted until the house says so, and for nobody who does not want it.
alter table house add column counts_reading boolean default false not null;
alter table contact add column counting varchar(20) default 'counted';
alter table lead add column counting varchar(20) default 'counted';

insert into field_definition (kind, name, label, type, column_name, section, position, required, computed, most, relation) values
  ('contact', 'counting',        'Opens and clicks', 'CHOICE',    'counting', 'Facts', 14, false, false, 20, null),
  ('lead',    'counting',        'Opens and clicks', 'CHOICE',    'counting', 'Facts', 16, false, false, 20, null),

  ('history', 'opened',          'Has opened',      'YES_NO',    null,       'Facts',  6, false, true,  3, null),
  ('history', 'last_opened',     'Last opened',     'DATE_TIME', null,       'Facts',  7, false, true,  40, null),
  ('history', 'clicked',         'Has clicked',     'YES_NO',    null,       'Facts',  8, false, true,  3, null),
  ('history', 'last_clicked',    'Last click',      'DATE_TIME', null,       'Facts',  9, false, true,  40, null),
  ('history', 'clicked_link',    'Link last clicked', 'LINK',    null,       'Facts', 10, false, true,  4000, null),
  ('history', 'unsubscribed',    'Wants no rounds', 'YES_NO',    null,       'Facts', 11, false, true,  3, null),

  ('message', 'sent_date',       'Day of sending',  'DATE',      null,       'Facts',  1, true,  true,  10, null),
  ('message', 'unsubscribe_link', 'Unsubscribe link', 'LINK',   null,       'Facts',  2, false, true,  400, null),
  ('message', 'web_copy_link',   'Web copy link',   'LINK',      null,       'Facts',  3, false, true,  400, null);
insert into field_choice (kind, field_name, code, label, position) values
  ('contact', 'counting', 'counted', 'may be counted', 1), ('contact', 'counting', 'not_counted', 'never counted', 2),
  ('lead', 'counting', 'counted', 'may be counted', 1), ('lead', 'counting', 'not_counted', 'never counted', 2);
update field_catalogue set revision = revision + 1;
