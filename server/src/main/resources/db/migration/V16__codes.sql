-- A code names a crop or a container that there is. What an earlier Kiver wrote is not looked through: its library may be
-- read in only after this.
alter table variety add column crop_kind text not null generated always as ('crop') stored;
alter table variety add constraint variety_crop_known
    foreign key (crop_kind, crop) references library_entry (kind, code) not valid;

alter table tray add column container_kind text not null generated always as ('container') stored;
alter table tray add constraint tray_container_known
    foreign key (container_kind, container) references library_entry (kind, code) not valid;

alter table order_line add column container_kind text not null generated always as ('container') stored;
alter table order_line add constraint order_line_container_known
    foreign key (container_kind, container) references library_entry (kind, code) not valid;
