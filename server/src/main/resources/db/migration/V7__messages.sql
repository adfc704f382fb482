-- A message on its way or gone. What it says stands apart: where its words came from in message_pieces, its bytes in
-- kept_source under the message's own identifier.
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
  -- Of the deal, else of the person, when it was written.
  organisation_id  uuid,
  to_address       varchar(254) not null,
  from_address     varchar(254) not null,
  subject          varchar(1000) not null,
  -- What it begins with, as lists show it.
  first_words      varchar(200) default '' not null,
  state            varchar(20) not null
    check (state in ('WAITING', 'HELD', 'SENDING', 'SENT', 'NOT_SURE', 'REFUSED', 'CANCELLED')),
  attempts         integer not null,
  -- Attempts less those that somebody asked for out of turn: so many and no more are made.
  tries            integer default 0 not null,
  by_hand          boolean default false not null,
  next_attempt_at  timestamp(3) with time zone,
  last_answer      varchar(4000),
  maybe_repeated   boolean not null,
  created_at       timestamp(3) with time zone not null,
  sent_at          timestamp(3) with time zone,
  -- A message that went to a colleague to be looked at; it is in nobody's history.
  test             boolean not null,
  -- The hour it was planned for; none for a message that was sent at once.
  planned_for      timestamp(3) with time zone,
  -- Why it was held just before it was to leave.
  held_why         varchar(2000),
  -- Whether somebody has said since that it is to go as it is.
  as_it_is         boolean default false not null,
  -- Whether it is one of a message that went to several people at once.
  several          boolean default false not null,
  -- The mailing it is one of; none for a message that stands alone.
  mailing_id       uuid,
  alone            boolean default true not null
);
create index outgoing_message_state on outgoing_message (state, alone, created_at desc, id desc);
create index outgoing_message_person on outgoing_message (person_id, created_at desc, id);
create index outgoing_message_deal on outgoing_message (deal_id, created_at desc, id);
create index outgoing_message_organisation on outgoing_message (organisation_id, created_at desc, id);

-- Who else gets a message. A contact among them has it in their history.
create table message_recipient (
  message_id uuid not null references outgoing_message (id) on delete cascade,
  number     integer not null,
  how        varchar(3) not null check (how in ('TO', 'CC', 'BCC')),
  name       varchar(300) not null,
  address    varchar(254) not null,
  contact_id uuid,
  -- When the message was written.
  at         timestamp(3) with time zone not null,
  primary key (message_id, number)
);
create index message_recipient_contact on message_recipient (contact_id, at desc, message_id);

-- What a message was made of, to be looked at again just before it leaves, and written again afterwards: JSON, packed.
create table message_plan (
  message_id uuid primary key references outgoing_message (id) on delete cascade,
  size       integer not null,
  packed     varbinary(20000000) not null
);

-- Messages that are being written. One that is sent stays, unseen, until its message has left.
create table message_draft (
  id               uuid primary key,
  written_by       uuid not null references colleague (id),
  sender_id        uuid not null references colleague (id),
  person_kind      varchar(20) not null,
  person_id        uuid not null,
  deal_id          uuid,
  template_id      uuid,
  template_version integer,
  -- As they are read in lists.
  person_name      varchar(500) not null,
  subject          varchar(500) not null,
  first_words      varchar(500) not null,
  version          integer not null,
  sent_as          uuid references outgoing_message (id),
  created_at       timestamp(3) with time zone not null,
  changed_at       timestamp(3) with time zone not null,
  -- What its sender has written, and its texts as they were merged when it was begun: JSON.
  message          varchar(10000000) not null,
  texts            varchar(10000000) not null
);
create index message_draft_writer on message_draft (written_by, changed_at desc, id);
create index message_draft_person on message_draft (person_id, changed_at desc, id);
create index message_draft_deal on message_draft (deal_id, changed_at desc, id);
create index message_draft_template on message_draft (template_id, written_by);
create index message_draft_sent on message_draft (sent_as);

-- Where each stretch of a plain message came from, as JSON; none of a letter.
-- Checks of a message that its writer has let pass, with a reason, for these very words. They are there before the message is.
create table message_ignored (
  message_id uuid not null,
  code       varchar(40) not null,
  words      varchar(2000) not null,
  title      varchar(500) not null,
  reason     varchar(200) not null,
  by_id      uuid not null references colleague (id),
  at         timestamp(3) with time zone not null,
  primary key (message_id, code, words)
);

create table message_pieces (
  message_id uuid primary key references outgoing_message (id) on delete cascade,
  pieces     varchar(1000000) not null
);

create table message_attempt (
  message_id uuid not null references outgoing_message (id),
  number     integer not null,
  at         timestamp(3) with time zone not null,
  outcome    varchar(20) not null,
  answer     varchar(4000),
  primary key (message_id, number)
);

-- What a reader can come back to: the message as a page, its links, and the way out of rounds.
create table message_page (
  message_id uuid primary key references outgoing_message (id) on delete cascade,
  reader_key varchar(24) not null unique,
  counted    boolean not null
);

-- Links that show a message to whoever has them, made by those who wrote it or work with them.
create table web_copy (
  id         uuid primary key,
  copy_key   varchar(24) not null unique,
  message_id uuid not null references outgoing_message (id) on delete cascade,
  made_by    uuid not null references colleague (id),
  made_at    timestamp with time zone not null,
  -- Null for as long as nobody closes it.
  open_until timestamp with time zone,
  -- A page for anybody, packed; null where the message is shown as it was sent.
  size       integer,
  packed     varbinary(40000000),
  -- What stands beside its title where the link is passed on; none where nobody has chosen one.
  picture_id uuid
);
create index web_copy_message on web_copy (message_id, made_at);

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
  kind       varchar(20) not null check (kind in ('OPENED', 'CLICKED', 'UNSUBSCRIBED', 'CAME_BACK', 'CHOSE')),
  at         timestamp(3) with time zone not null,
  address    varchar(4000),
  program    varchar(300) not null,
  ahead      boolean not null,
  by_machine boolean not null
);

create index delivery_event_person on delivery_event (person_id, kind, by_machine, at);
create index delivery_event_message on delivery_event (message_id, at);
