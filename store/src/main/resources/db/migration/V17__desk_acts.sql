-- What was done at the desk. It is only added to: the application's role can do no more.
CREATE TABLE desk_act (
  number bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  at     timestamptz NOT NULL,
  who    text NOT NULL,
  what   text NOT NULL
);

GRANT SELECT, INSERT ON desk_act TO ${app_role};
