-- How fast trays of a crop dry can be held, or turned down, like the pace of its leaves.
alter table lesson_decision drop constraint lesson_decision_matter_check;
alter table lesson_decision
    add constraint lesson_decision_matter_check check (matter in ('EMERGENCE', 'LEAVES', 'SURVIVAL', 'DRYING'));
