-- The last change of what each student has, by the numbers of changes of seats: whoever follows those hears for whom to ask again.
CREATE TABLE student_change (
    student text PRIMARY KEY,
    change bigint NOT NULL
);

CREATE INDEX student_change_by_change ON student_change (change);
