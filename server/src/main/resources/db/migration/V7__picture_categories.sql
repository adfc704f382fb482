-- What sort of picture it is, in a word of the house's own, and whether it moves: a moving one is shown as it is, since
-- a copy of it would stand still.
alter table picture add column category varchar(60) default '' not null;
alter table picture add column moving boolean default false not null;
update picture set moving = true where media_type = 'image/gif';
