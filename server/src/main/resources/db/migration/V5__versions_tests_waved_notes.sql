-- Which version of a template others use; none while it has never been marked ready.
alter table template add column ready_version integer;

-- A version holds all that a template says, and why it was kept.
alter table template_version add column purpose varchar(60);
alter table template_version add column about varchar(20);
alter table template_version add column house_style_id uuid;
alter table template_version add column header varchar(60) default '' not null;
alter table template_version add column footer varchar(60) default '' not null;
alter table template_version add column changed_at timestamp(3) with time zone;
alter table template_version add column changed_by uuid;
alter table template_version add column reason varchar(20) default 'USED' not null;

update template_version v
set purpose = (select t.purpose from template t where t.id = v.template_id),
    about = (select t.about from template t where t.id = v.template_id),
    house_style_id = (select t.house_style_id from template t where t.id = v.template_id),
    changed_at = kept_at,
    changed_by = (select t.changed_by from template t where t.id = v.template_id);

alter table template_version alter column about set not null;
alter table template_version alter column changed_at set not null;
alter table template_version alter column changed_by set not null;

-- What was there before could be used by everybody.
insert into template_version (template_id, version, name, subject, preview_text, body, mode, design, kept_at, purpose, about,
                              house_style_id, header, footer, changed_at, changed_by, reason)
select id, version, name, subject, preview_text, body, mode, design, changed_at, purpose, about, house_style_id, header,
       footer, changed_at, changed_by, 'READY'
from template t
where not exists (select 1 from template_version v where v.template_id = t.id and v.version = t.version);
update template set ready_version = version;

-- A message that went to a colleague to be looked at; it is in nobody's history.
alter table outgoing_message add column test boolean default false not null;

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

-- Who has a template on the desk; a row that has not been renewed for a while counts for nobody.
create table desk_presence (
  template_id  uuid not null references template (id),
  colleague_id uuid not null references colleague (id),
  seen_at      timestamp(3) with time zone not null,
  primary key (template_id, colleague_id)
);

-- Files that go along with messages, and which of them with which template: identifiers parted by commas.
create table kept_file (
  id         uuid primary key,
  name       varchar(160) not null,
  media_type varchar(120) not null,
  content    varbinary(11000000) not null,
  added_by   uuid not null references colleague (id),
  added_at   timestamp(3) with time zone not null
);
create index kept_file_name on kept_file (name, id);
alter table template add column files varchar(800) default '' not null;
alter table template_version add column files varchar(800) default '' not null;

-- Messages with files are larger than those with words.
alter table outgoing_message alter column source set data type varbinary(30000000);
alter table practice_letter alter column source set data type varbinary(30000000);
