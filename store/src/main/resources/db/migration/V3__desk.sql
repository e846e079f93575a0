-- Bundles that were uploaded at the posting desk and not posted or put away yet, so that any instance of the application
-- can go on with them.
CREATE TABLE upload (
  upload_id   uuid PRIMARY KEY,
  file_name   text NOT NULL,
  uploaded_at timestamptz NOT NULL,
  content     bytea NOT NULL
);

GRANT SELECT, INSERT, DELETE ON upload TO ${app_role};

-- Sessions, as Spring Session 4 keeps them in PostgreSQL.
CREATE TABLE spring_session (
  primary_id            char(36) PRIMARY KEY,
  session_id            char(36) NOT NULL UNIQUE,
  creation_time         bigint NOT NULL,
  last_access_time      bigint NOT NULL,
  max_inactive_interval integer NOT NULL,
  expiry_time           bigint NOT NULL,
  principal_name        varchar(100)
);

CREATE INDEX spring_session_by_expiry ON spring_session (expiry_time);
CREATE INDEX spring_session_by_principal ON spring_session (principal_name);

CREATE TABLE spring_session_attributes (
  session_primary_id char(36) NOT NULL REFERENCES spring_session (primary_id) ON DELETE CASCADE,
  attribute_name     varchar(200) NOT NULL,
  attribute_bytes    bytea NOT NULL,
  PRIMARY KEY (session_primary_id, attribute_name)
);

GRANT SELECT, INSERT, UPDATE, DELETE ON spring_session, spring_session_attributes TO ${app_role};
