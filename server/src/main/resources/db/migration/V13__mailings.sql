-- One template to several people, seen before it leaves.
create table mailing (
  id          uuid primary key,
  name        varchar(120) not null,
  state       varchar(10) not null check (state in ('WRITING', 'RUNNING', 'PAUSED', 'STOPPED', 'DONE')),
  -- Who gets it, what it says, when it leaves and what it is for, as it stands on its page: JSON.
  plan        varchar(1000000) not null,
  -- Counts what was kept.
  version     integer not null,
  made_by     uuid not null references colleague (id),
  created_at  timestamp(3) with time zone not null,
  changed_by  uuid not null references colleague (id),
  changed_at  timestamp(3) with time zone not null,
  -- As lists are narrowed by them.
  topic_id    uuid references topic (id) on delete set null,
  template_id uuid references template (id) on delete set null,
  sender_id   uuid references colleague (id),
  -- What was sent as a test, as a digest of all that it covers.
  tested      varchar(64),
  tested_at   timestamp(3) with time zone,
  tested_by   uuid references colleague (id),
  -- What it says since it was started, and whether that is still so: JSON, and its digest.
  words       varchar(10000000),
  started     varchar(64),
  started_by  uuid references colleague (id),
  started_at  timestamp(3) with time zone,
  ended_at    timestamp(3) with time zone,
  -- The mail server takes nothing: how often in a row, and until when it is left in peace.
  rests       integer default 0 not null,
  rests_until timestamp(3) with time zone,
  -- Why it rests, was paused or has ended, for people.
  said        varchar(2000) default '' not null,
  -- How many of its people stand how, kept with them.
  planned     integer default 0 not null,
  leaving     integer default 0 not null,
  waiting     integer default 0 not null,
  sent        integer default 0 not null,
  held        integer default 0 not null,
  not_sure    integer default 0 not null,
  refused     integer default 0 not null,
  left_out    integer default 0 not null,
  opened      integer default 0 not null,
  clicked     integer default 0 not null,
  replied     integer default 0 not null,
  unsubscribed integer default 0 not null
);
create index mailing_changed on mailing (changed_at desc, id desc);
create index mailing_state on mailing (state, changed_at desc, id desc);

-- Words that mailings are found by; tag_key is without case and accents.
create table mailing_tag (
  mailing_id uuid not null references mailing (id) on delete cascade,
  tag        varchar(40) not null,
  tag_key    varchar(80) not null,
  primary key (mailing_id, tag_key)
);
create index mailing_tag_key on mailing_tag (tag_key);

-- Who gets a mailing. Until it is started only those of whom something is to be known.
create table mailing_person (
  mailing_id  uuid not null references mailing (id) on delete cascade,
  -- What they were chosen as: the person, or the deal it is about.
  chosen_id   uuid not null,
  person_kind varchar(20) not null,
  person_id   uuid not null,
  deal_id     uuid,
  name        varchar(500) not null,
  address     varchar(254) not null,
  state       varchar(10) not null
    check (state in ('PLANNED', 'LEAVING', 'WAITING', 'SENT', 'HELD', 'NOT_SURE', 'REFUSED', 'LEFT_OUT')),
  -- Who holds them back; none where nobody does.
  held_by     uuid references colleague (id),
  -- Why they are held, were refused or left out, for people.
  why         varchar(2000) default '' not null,
  -- Whether it goes to them whatever they have written since.
  as_it_is    boolean default false not null,
  -- The draft of their own words; none for those of the mailing.
  draft_id    uuid,
  due_at      timestamp(3) with time zone,
  -- Whether somebody chose by hand when it leaves for them.
  moved       boolean default false not null,
  taken_at    timestamp(3) with time zone,
  -- When it was handed over first, which counts towards what may leave within an hour.
  left_at     timestamp(3) with time zone,
  message_id  uuid,
  -- Counts messages after the first one, which was refused.
  turn        integer default 0 not null,
  opened_at   timestamp(3) with time zone,
  clicked_at  timestamp(3) with time zone,
  replied_at  timestamp(3) with time zone,
  unsubscribed boolean default false not null,
  primary key (mailing_id, chosen_id)
);
create index mailing_person_due on mailing_person (state, due_at, chosen_id);
create index mailing_person_message on mailing_person (message_id);
create index mailing_person_person on mailing_person (person_id, left_at desc);
create index mailing_person_left on mailing_person (left_at);

-- A colleague who was asked to look at a mailing, and what they said of it: the newest time.
create table mailing_look (
  mailing_id  uuid primary key references mailing (id) on delete cascade,
  asked       uuid not null references colleague (id),
  asked_by    uuid not null references colleague (id),
  asked_at    timestamp(3) with time zone not null,
  -- None until they have answered.
  answered_at timestamp(3) with time zone,
  approved    boolean default false not null,
  -- What they saw, as a digest of all that a test covers.
  digest      varchar(64),
  -- What they say of which part: JSON.
  comments    varchar(20000) default '[]' not null
);
create index mailing_look_asked on mailing_look (asked, answered_at);

-- Deals that somebody says came of a mailing.
create table mailing_deal (
  mailing_id uuid not null references mailing (id) on delete cascade,
  deal_id    uuid not null,
  named_by   uuid not null references colleague (id),
  named_at   timestamp(3) with time zone not null,
  primary key (mailing_id, deal_id)
);

-- What the company wants of all mailings; one row, made with the first change.
create table mailing_rules (
  id       integer primary key check (id = 1),
  most     integer not null,
  per_hour integer not null,
  per_day  integer not null,
  -- Whether a colleague has to approve each before it goes.
  look     boolean default false not null
);
insert into mailing_rules (id, most, per_hour, per_day) values (1, 500, 200, 2000);
