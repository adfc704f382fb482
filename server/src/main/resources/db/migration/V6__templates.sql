-- Templates, and what is written on the same desk and kept like them: passages, signatures, headers and footers. Its words
-- stand apart, so that a list of templates reads none of them.
create table template (
  id             uuid primary key,
  kind           varchar(12) not null,
  name           varchar(120) not null,
  purpose        varchar(60),
  about          varchar(20) not null,
  subject        varchar(500) not null,
  mode           varchar(20) not null,
  house_style_id uuid,
  header         varchar(60) default '' not null,
  footer         varchar(60) default '' not null,
  -- Files that go along: identifiers parted by commas.
  files          varchar(800) default '' not null,
  -- For the envelope of its messages: JSON; empty for none.
  wishes         varchar(4000) default '' not null,
  version        integer not null,
  -- Which version others use; none while it has never been marked ready.
  ready_version  integer,
  -- None for headers and footers, which belong to their style.
  folder_id      uuid references folder (id),
  owner_id       uuid not null,
  created_at     timestamp(3) with time zone not null,
  changed_at     timestamp(3) with time zone not null,
  changed_by     uuid not null references colleague (id),
  -- Archived ones stay where they are used, and are offered to nobody.
  archived_at    timestamp(3) with time zone,
  -- Of one that has been erased since, and that messages went out with, this row is left without words.
  deleted_at     timestamp(3) with time zone
);
create index template_kind on template (kind, name, id);
-- Finds what has lain in the bin for long enough.
create index template_deleted on template (deleted_at);
-- Finds what somebody may see that is not ready yet.
create index template_owner on template (owner_id);
alter table template add foreign key (owner_id) references colleague (id);
create index template_house_style on template (house_style_id);

-- Words that templates are kept together by, whoever's they are; tag_key is without case and accents.
create table template_tag (
  template_id uuid not null references template (id) on delete cascade,
  tag         varchar(40) not null,
  tag_key     varchar(80) not null,
  primary key (template_id, tag_key)
);
create index template_tag_key on template_tag (tag_key);

-- When a template is meant to be used: a month by its number, a stage or country by its code. What it says none of is any.
create table template_occasion (
  template_id uuid not null references template (id) on delete cascade,
  what        varchar(10) not null check (what in ('MONTH', 'STAGE', 'COUNTRY')),
  code        varchar(60) not null,
  primary key (template_id, what, code)
);
alter table template add foreign key (house_style_id) references house_style (id);

-- The design is versioned JSON, see docs/body.schema.json; the body keeps its words.
create table template_words (
  template_id  uuid primary key references template (id) on delete cascade,
  preview_text varchar(500) not null,
  body         varchar(200000) not null,
  design       varchar(2000000) not null,
  -- Where it is kept by hand: JSON.
  plain_text   varchar(450000)
);

-- What a template names: fields (as kind.name), passages, pictures and feeds in its design, attached files (by
-- identifier).
create table template_names (
  template_id uuid not null references template (id) on delete cascade,
  what        varchar(12) not null check (what in ('FIELD', 'PART', 'FILE')),
  named       varchar(130) not null,
  primary key (template_id, what, named)
);
create index template_names_named on template_names (what, named);

-- How often a template was used by each colleague, summed up with the messages.
create table template_use (
  template_id  uuid not null references template (id) on delete cascade,
  colleague_id uuid not null references colleague (id),
  times        integer not null,
  last_at      timestamp(3) with time zone not null,
  primary key (template_id, colleague_id)
);
create index template_use_colleague on template_use (colleague_id, last_at desc);

-- What each colleague has marked to find again.
create table template_favourite (
  template_id  uuid not null references template (id) on delete cascade,
  colleague_id uuid not null references colleague (id),
  primary key (template_id, colleague_id)
);

-- The newest test of each template.
create table template_test (
  template_id uuid primary key references template (id) on delete cascade,
  version     integer not null,
  at          timestamp(3) with time zone not null,
  by_id       uuid not null references colleague (id)
);

-- What a template said when it was used, tested or marked ready, and why it was kept.
create table template_version (
  template_id    uuid not null references template (id),
  version        integer not null,
  name           varchar(120) not null,
  purpose        varchar(60),
  about          varchar(20) not null,
  subject        varchar(500) not null,
  preview_text   varchar(500) not null,
  body           varchar(200000) not null,
  mode           varchar(20) not null,
  design         varchar(2000000) not null,
  plain_text     varchar(450000),
  house_style_id uuid,
  header         varchar(60) default '' not null,
  footer         varchar(60) default '' not null,
  files          varchar(800) default '' not null,
  -- For the envelope of its messages: JSON; empty for none.
  wishes         varchar(4000) default '' not null,
  changed_at     timestamp(3) with time zone not null,
  changed_by     uuid not null,
  reason         varchar(20) not null,
  kept_at        timestamp(3) with time zone not null,
  primary key (template_id, version)
);

-- Templates that say the same in several languages; the root, whose list line stands for all, is one of them.
create table template_variant (
  template_id uuid primary key references template (id) on delete cascade,
  root_id     uuid not null references template (id),
  language    varchar(8) not null
);

create index template_variant_root on template_variant (root_id, language);

-- Whose designed signature is which: of one colleague, or of everybody who has chosen none ('team').
create table signature_choice (
  for_whom    varchar(40) primary key,
  template_id uuid not null references template (id)
);

-- Queries of the proofreader that a writer has let pass, for these very words.
create table waved_note (
  template_id uuid not null references template (id),
  code        varchar(40) not null,
  words       varchar(2000) not null,
  reason      varchar(200) not null,
  by_id       uuid not null references colleague (id),
  at          timestamp(3) with time zone not null,
  primary key (template_id, code, words)
);

-- Checks of the proofreader that the company wants otherwise than they come, and how often each was ignored.
create table check_setting (
  code    varchar(40) primary key,
  level   varchar(8) check (level in ('QUERY', 'STOP', 'OFF')),
  ignored integer not null
);

-- Who has a template on the desk; a row that has not been renewed for a while counts for nobody.
create table desk_presence (
  template_id  uuid not null references template (id),
  colleague_id uuid not null references colleague (id),
  seen_at      timestamp(3) with time zone not null,
  primary key (template_id, colleague_id)
);
