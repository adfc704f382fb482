-- What messages to several people are about, for readers to choose from.
create table topic (
  id       uuid primary key,
  name     varchar(60) not null,
  position integer not null
);

-- What a topic is called in other languages, by ISO 639.
create table topic_name (
  topic_id uuid not null references topic (id) on delete cascade,
  language varchar(8) not null,
  name     varchar(60) not null,
  primary key (topic_id, language)
);

-- What somebody wants of messages to several people; who has chosen nothing has no row and gets all.
create table reader_choice (
  person_id  uuid primary key,
  -- Whether they want none; a message of one's own may still go to them.
  nothing    boolean not null,
  pace       varchar(10) not null check (pace in ('ANY', 'WEEKLY', 'MONTHLY', 'QUARTERLY')),
  changed_at timestamp(3) with time zone not null
);

create table topic_refused (
  person_id uuid not null,
  topic_id  uuid not null references topic (id) on delete cascade,
  primary key (person_id, topic_id)
);

-- How things were before a choice, so that whoever made it can undo it: JSON.
create table reader_choice_change (
  id         uuid primary key,
  message_id uuid not null references outgoing_message (id) on delete cascade,
  at         timestamp(3) with time zone not null,
  before     varchar(1000000) not null
);

-- What a message to several people is about; none for any other, and for one about no topic.
alter table message_page add column topic_id uuid references topic (id) on delete set null;
alter table message_page add column several boolean default false not null;
