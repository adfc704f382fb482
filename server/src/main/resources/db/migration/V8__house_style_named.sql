-- Who may change a house style besides keepers and administrators.
create table house_style_named (
  house_style_id uuid not null references house_style (id) on delete cascade,
  colleague_id   uuid not null references colleague (id),
  primary key (house_style_id, colleague_id)
);
